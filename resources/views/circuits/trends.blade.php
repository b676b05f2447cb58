@if ($page->leak !== null)
    <p class="sheet leak-line"><a href="{{ route('circuits.ledger', $circuit) }}"><b><span
        @class(['mark-act' => $page->leak->mark === Metrum\Findings\Mark::Act])>{{ $page->leak->mark->sign() }}</span>
        {{ $page->leak->words }}</b></a></p>
@endif
@if ($trends->picture !== null)
    <section class="sheet" aria-labelledby="h-trends">
        <div class="page-head"><h2 id="h-trends">{{ ucfirst($trends->span()) }}, corrected for weather</h2>
            <a class="btn quiet small" href="{{ route('circuits.history', $circuit) }}">CSV</a></div>
        @foreach ($trends->drifts as [$drifts, $when, $isBeyond])<p class="drift"><b><span
            class="mark-act">{{ $isBeyond ? '●' : '◐' }}</span> {{ $drifts }} {{ $when }}</b></p>@endforeach
        @if ($trends->drifts === [])<p class="soft">○ No figure drifts.</p>@endif
        <div class="scrolls" tabindex="0" role="region" aria-label="Figures over the visits"><x-picture.history
            :history="$trends->picture" :alt="$trends->alt()" /></div>
        <p class="hint">Dots: as found and as left, as distance from what this system should read in that weather.
            {{ $trends->zero() }} A drift is shown only where it is certain; a repair or adjustment starts a new
            line.</p>
    </section>
@endif
