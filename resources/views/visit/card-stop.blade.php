{{-- what stops the work at once, in place of the steps behind it --}}
@php($stop = $open->stop())
<div class="card-stop" role="alert">
    <h3>● {{ $stop->outcome->label }}</h3>
    <p>@told($open->says())</p>
    @if ($open->leads() !== null)<p>Next: <a href="{{ $open->leads()[1] }}">{{ $open->leads()[0] }}</a></p>@endif
    @if ($stop->canBePassed)
        <x-entry :page="$page" kind="card" :key="$open->key(Metrum\Card\Card::PASSED)"
            :says="'continued: '.$stop->outcome->label" card>
            <label for="pass-reason">Reason to continue anyway</label>
            <input id="pass-reason" class="input" name="reason" maxlength="200" required>
            <button class="btn quiet" name="value" value="{{ $stop->key() }}" @disabled(!
                $page->mayEnter)>Continue</button>
        </x-entry>
    @else
        <p class="hint">No reason can override this. Correct it, then answer the step again.</p>
    @endif
</div>
