<ol id="walk" data-part>
    @if ($page->visit->isOfRack())<li><a href="{{ route('visits.board', $page->visit) }}"><b class="step-none"
        aria-hidden="true"></b><span><span class="wide">Rack board</span><span class="slim">Board</span></span></a>
        </li>@endif
    @foreach ($page->walk() as $step)
        <li><a href="{{ route('visits.show', [$page->visit, $step->station->value]) }}"
            @if ($step->station === $page->station) aria-current="step" @endif accesskey="{{ $loop->iteration }}">
            <b class="step-{{ $step->mark() }}" aria-hidden="true"></b>
            <span><span class="wide">{{ $step->station->labelAt($page->findings->circuit) }}</span><span
                class="slim">{{ $step->station->shortAt($page->findings->circuit)
                }}</span><small>{{ $step->said }}</small></span>
        </a></li>
    @endforeach
</ol>
