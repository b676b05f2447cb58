<ol id="walk" data-part>
    @foreach ($page->walk() as $step)
        <li><a href="{{ route('visits.show', [$page->visit, $step->station->value]) }}"
            @if ($step->station === $page->station) aria-current="step" @endif accesskey="{{ $loop->iteration }}">
            <b class="step-{{ $step->mark() }}" aria-hidden="true"></b>
            <span><span class="wide">{{ $step->station->label() }}</span><span
                class="slim">{{ $step->station->short() }}</span><small>{{ $step->said }}</small></span>
        </a></li>
    @endforeach
</ol>
