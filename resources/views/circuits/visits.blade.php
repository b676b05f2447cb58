<h2>Visits</h2>
@forelse ($history->visits as $visit)
    @php($outcome = $history->outcome($visit))
    <a class="row-link" href="{{ $visit->isOpen() ? $visit->address() : route('visits.report', $visit) }}">
        <span class="grow"><small>{{ $visit->opened_at->format('j M Y') }}@if ($visit->isOpen()) · open
            @endif</small><b>{{ $outcome->mark()->sign() }} {{ $outcome->title() }}</b><small>
            {{ $visit->user->name }}@if ($outcome->isProven()) · confirmed @elseif (! $outcome->settled &&
            ! $outcome->blank) · provisional @endif @if ($visit->ranWell()) · ran well @endif</small></span>
        @if ($outcome->leads() && $outcome->probability() !== null)<span
            class="when num">{{ App\View\Explain::percent($outcome->probability()) }}</span>@endif
    </a>
@empty
    <p class="empty">No visits yet. The first visit where it runs well becomes the reference.</p>
@endforelse
@if ($history->visits->count() > 1)<p class="actions"><a class="btn quiet"
    href="{{ route('circuits.compare', $circuit) }}">Compare two visits</a></p>@endif
@if ($history->isOld() || $trends->record->missing > 0)
    <form method="post" action="{{ route('circuits.again', $circuit) }}" class="row-link">@csrf<span
        class="grow"><small>Some results were calculated with an older version.</small></span><button
        class="btn quiet">Recalculate</button></form>
@endif
