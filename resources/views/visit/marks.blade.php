{{-- complaint words: several may be true --}}
<div class="choice" id="complaints" data-part>
    <h2>What does the owner say?</h2>
    <div class="taps">
        @foreach (Metrum\Knowledge\Complaint::cases() as $complaint)
            @php($on = in_array($complaint, $page->findings->complaints, true))
            @continue(! $on && ! $complaint->isSaidOf($page->findings->circuit->kind))
            <form method="post" action="{{ $page->entries }}" data-says="" data-entry>
                @csrf
                <input type="hidden" name="id" value="{{ $page->ulid() }}"><input type="hidden" name="kind" value="complaint"><input type="hidden" name="key" value="{{ $complaint->value }}"><input type="hidden" name="stage" value="complaint">
                <button name="value" value="{{ $on ? 'no' : 'yes' }}" data-on="yes" data-off="no" data-was="{{ $on ? 'true' : 'false' }}" id="complaint-{{ str_replace('_', '-', $complaint->value) }}" aria-pressed="{{ $on ? 'true' : 'false' }}" class="tap" @disabled(! $page->mayEnter)><span>{{ $complaint->label() }}</span></button>
            </form>
        @endforeach
    </div>
</div>
