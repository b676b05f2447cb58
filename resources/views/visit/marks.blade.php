{{-- complaint words: several may be true --}}
<div class="choice" id="complaints" data-part>
    <h2>What does the customer report?</h2>
    <div class="taps">
        @foreach (Metrum\Knowledge\Complaint::cases() as $complaint)
            @php($on = in_array($complaint, $page->findings->complaints, true))
            @continue(! $on && ! $complaint->isSaidOf($page->findings->circuit->kind))
            <x-entry :page="$page" kind="complaint" :key="$complaint->value" stage="complaint" says="">
                <button name="value" value="{{ $on ? 'no' : 'yes' }}" data-on="yes" data-off="no"
                    data-was="{{ $on ? 'true' : 'false' }}" id="complaint-{{ str_replace('_', '-',
                    $complaint->value) }}" aria-pressed="{{ $on ? 'true' : 'false' }}" class="tap"
                    @disabled(! $page->mayEnter)><span>{{ $complaint->label() }}</span></button>
            </x-entry>
        @endforeach
    </div>
</div>
