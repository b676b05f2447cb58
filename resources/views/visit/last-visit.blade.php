<section class="sheet last-visit" aria-labelledby="h-last">
    <h2 id="h-last">Last visit, {{ $last->visit->opened_at->format('j M Y') }}</h2>
    @if ($last->verdict !== null)
        <p class="lead"><b>{{ $last->verdict->mark()->sign() }}
            {{ $last->verdict->title() }}</b>@if ($last->verdict->leads() && $last->verdict->probability() !== null)
            {{ App\View\Explain::percent($last->verdict->probability()) }}@elseif ($last->verdict->isProven())
                confirmed @endif</p>
    @endif
    @if ($last->left !== null)<p>{{ $last->left }}</p>@endif
    <p class="soft">{{ $last->visit->user->name }}{{ $last->visit->ranWell() ? ' · ○ ran well when closed'
        : '' }}{{ $last->visit->isOpen() ? ' · still open' : '' }}</p>
    @foreach ($last->trips as $trip)<p><span class="mark-act">●</span> Found then: {{ $trip }}</p>@endforeach
    @foreach ($last->open as $followUp)<p><span class="mark-act">{{ $followUp->isDue() ? '●' : '◐' }}</span> Due
        {{ $followUp->due_on->format('j M Y') }}: {{ $followUp->what }}</p>@endforeach
    <p class="actions"><a class="btn quiet" href="{{ route('visits.report', $last->visit) }}">Report</a> <a
        class="btn quiet" href="{{ route('circuits.show', $last->visit->circuit_id) }}">All visits</a></p>
</section>
