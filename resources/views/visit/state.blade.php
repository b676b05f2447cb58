<div id="state" class="state" data-part>
    <details class="menu">
        <summary class="chip @if ($page->findings->state === null) asks @endif"><span>{{ $page->findings->isSettled()
            ? '○' : '◐' }}</span> {{ $page->stateWord() }}</summary>
        <x-entry :page="$page" kind="state" key="state" says="State" class="state-menu">
            <fieldset @disabled(! $page->mayEnter)><legend>What is the system doing now?</legend>
                @foreach (Metrum\Knowledge\State::at($page->findings->circuit) as $state)
                    <button class="tap" name="value" id="state-{{ str_replace('_', '-', $state->value) }}"
                        value="{{ $page->findings->state === $state ? '' : $state->value }}"
                        data-on="{{ $state->value }}" data-off="" data-was="{{ $page->findings->state === $state
                        ? 'true' : 'false' }}" aria-pressed="{{ $page->findings->state === $state ? 'true'
                        : 'false' }}"><span>{{ $state->label() }}</span></button>
                @endforeach
            </fieldset>
            <p class="hint">Two matching readings count more than any timer. If not settled, results are shown as
                provisional.</p>
        </x-entry>
    </details>
</div>
