<x-layout :title="'Why: '.$why->page->visit->circuit->name">
    <x-slot:where><a href="{{ route('circuits.show',
        $why->page->visit->circuit) }}">{{ $why->page->visit->circuit->name }}</a> / <a
        href="{{ route('visits.show', [$why->page->visit, 'verdict']) }}"><b>Visit
        {{ $why->page->visit->opened_at->format('j M, H:i') }}</b></a></x-slot:where>
    <main id="main" class="page why">
        <h1>Why this diagnosis</h1>
        @if ($why->page->verdict->blank)
            <p class="empty">Nothing entered yet. <a
                href="{{ route('visits.show', [$why->page->visit, 'complaint']) }}">Start with the complaint</a>.</p>
        @else
            @php($picture = $why->picture())
            <section class="sheet" aria-labelledby="h-path">
                <h2 id="h-path">How the ranking developed</h2>
                <div class="scrolls" tabindex="0" role="region" aria-label="Ranking over time">
                <svg class="path-picture" viewBox="0 0 {{ $picture->width }} {{ App\Picture\PathPicture::HEIGHT }}"
                    width="{{ $picture->width }}" role="img" aria-labelledby="path-title">
                    <title id="path-title">Probability of the first {{ count($why->suspects()) }} suspects after each
                        entry</title>
                    @foreach ($picture->levels() as $level)<line class="level" x1="{{ $picture->left() }}"
                        x2="{{ $picture->right() }}" y1="{{ $level['y'] }}" y2="{{ $level['y'] }}"/><text
                        class="level-text" x="{{ $picture->left() }}" dx="-6" y="{{ $level['y'] }}" dy="4"
                        text-anchor="end">{{ $level['text'] }}</text>@endforeach
                    @foreach ($why->turns() as $turn)<line class="turn" x1="{{ $picture->x($turn['number']) }}"
                        x2="{{ $picture->x($turn['number']) }}" y1="10" y2="168"/><text class="turn-text"
                        x="{{ $picture->x($turn['number']) }}" y="183"
                        text-anchor="middle">{{ $turn['number'] }}</text>@endforeach
                    @foreach ($picture->paths() as $path)<path class="path-{{ $loop->iteration }}"
                        d="{{ $path }}"/>@endforeach
                    @foreach ($picture->ends() as $end)<circle class="path-{{ $loop->iteration }} end"
                        cx="{{ $end['x'] }}" cy="{{ $end['y'] }}" r="4.5"/>@endforeach
                </svg>
                </div>
                <ul class="path-legend">@foreach ($why->suspects() as $suspect)<li><svg viewBox="0 0 30 10"
                    aria-hidden="true"><path class="path-{{ $loop->iteration }}"
                    d="M1 5H29"/></svg>{{ $why->page->verdict->nameOf($suspect) }}
                    <b>{{ App\View\Explain::percent($suspect->probability) }}</b></li>@endforeach</ul>
                @if ($why->turns() === [])<p class="soft">No single entry decided it; many small ones add up.</p>
                @else<ol class="turns">@foreach ($why->turns() as $turn)<li
                    value="{{ $turn['number'] }}"><span>{{ $turn['text'] }}</span> <span
                    class="soft">{{ $turn['change'] }}</span></li>@endforeach</ol>@endif
            </section>
            @php($scale = $why->scale())
            @foreach ($why->suspects() as $suspect)
                <section class="sheet" aria-labelledby="h-{{ $suspect->fault->value }}">
                    <header class="why-head"><h2
                        id="h-{{ $suspect->fault->value }}">{{ $why->page->verdict->nameOf($suspect) }}</h2><b>{{
            App\View\Explain::percent($suspect->probability) }}</b></header>
                    <p class="soft">@told($suspect->entry()->mechanism) <a
                        href="{{ route('handbook.show', ['fault' => $suspect->fault->value, 'circuit'
                        => $why->page->visit->circuit_id]) }}">In the handbook</a></p>
                    <ul class="ladder">
                        @forelse ($why->ladder($suspect) as $rung)
                            @php($bar = $scale->rung($rung['from'], $rung['to']))
                            <li @class(['against' => $rung['nats'] < 0])><svg viewBox="0 0 200 14" aria-hidden="true"
                                preserveAspectRatio="none"><line class="middle" x1="{{ $scale->middle() }}"
                                x2="{{ $scale->middle() }}"
                                y1="0" y2="14"/><rect class="{{ $rung['nats'] < 0 ? 'weight-against'
                                : 'weight-for' }}" x="{{ $bar['x'] }}" y="2"
                                width="{{ $bar['width'] }}" height="10"
                                rx="2"/></svg><span>{{ $rung['nats'] < 0 ?
                                'against: '.App\View\Explain::within($rung['text']) : $rung['text'] }}</span></li>
                        @empty
                            <li><span></span><span class="soft">No evidence for or against: at its usual frequency for
                                this type of system.</span></li>
                        @endforelse
                    </ul>
                </section>
            @endforeach
            <section class="sheet" aria-labelledby="h-pattern">
                <h2 id="h-pattern">Pressures, and where to look first</h2>
                @if ($why->pressures() === [])<p class="soft">No pressures read while running, or ambient not
                    entered.</p>
                @else<table><caption class="sr">Pressures</caption><thead><tr><th scope="col">Pressure</th><th
                    scope="col">Reading</th><th scope="col">Expected</th><th
                    scope="col">Result</th></tr></thead><tbody>@foreach ($why->pressures() as $row)<tr><th
                    scope="row">{{ $row['name'] }}</th><td>{{ $row['is'] }}</td><td>{{ $row['should'] }}</td>
                        <td>{{ $row['stands'] }}</td></tr>@endforeach</tbody></table>@endif
                <ol class="families">@foreach ($why->pattern()->families() as $part => $share)
                    <li><span>{{ $part }}</span>
                    <x-bar :share="$share" /> <b>{{ App\View\Explain::percent($share) }}</b></li>@endforeach</ol>
            </section>
            <section class="sheet" aria-labelledby="h-right">
                <h2 id="h-right">How often such diagnoses are correct</h2>
                <p>{{ $why->howOften() }} <span class="soft">Measured on simulated systems not used for
                    learning.</span></p>
                <table class="calibration"><caption class="sr">Stated and correct</caption><thead><tr><th
                    scope="col">Stated</th><th scope="col">Correct</th><th scope="col"
                    class="num">Cases</th></tr></thead>
                    <tbody>@foreach ($why->calibration() as [$claimed, $right, $visits])<tr>
                        <td>{{ App\View\Explain::percent($claimed) }}</td><td><x-bar
                        :share="$right" /> {{ App\View\Explain::percent($right) }}</td><td
                        class="num">{{ $visits }}</td></tr>@endforeach</tbody></table>
            </section>
        @endif
    </main>
</x-layout>
