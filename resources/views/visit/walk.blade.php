<ol id="walk" @if ($oob ?? false) hx-swap-oob="outerHTML" @endif>
    @foreach ($page->walk() as $i => $step)
        <li><a href="{{ route('visits.show', [$page->visit, $step['stage']->value]) }}" @if ($step['stage'] === $page->stage) aria-current="step" @endif accesskey="{{ $i + 1 }}">
            <b class="step-{{ $step['mark'] }}" aria-hidden="true"></b>
            <span><span class="wide">{{ $step['stage']->label() }}</span><span class="slim">{{ $step['stage']->short() }}</span><small>{{ $step['said'] }}</small></span>
        </a></li>
    @endforeach
</ol>
