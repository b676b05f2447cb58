<h2>Visits</h2>
@forelse ($history->latestFew() as $visit)
    @include('circuits.visit')
@empty
    <p class="empty">No visits yet. The first visit where it runs well becomes the reference.</p>
@endforelse
@if ($history->earlier()->isNotEmpty())
    <details><summary>Earlier visits</summary>
        @foreach ($history->earlier() as $visit) @include('circuits.visit') @endforeach
    </details>
@endif
@if ($history->visits->count() > 1)<p class="actions"><a class="btn quiet"
    href="{{ route('circuits.compare', $circuit) }}">Compare two visits</a></p>@endif
@if ($history->isOld() || $trends->record->missing > 0)
    <form method="post" action="{{ route('circuits.again', $circuit) }}" class="row-link">@csrf<span
        class="grow"><small>Some results were calculated with an older version.</small></span><button
        class="btn quiet">Recalculate</button></form>
@endif
