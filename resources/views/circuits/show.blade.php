@php($circuit = $page->circuit)
@php($latest = $page->latest)
@php($history = $page->history)
@php($trends = $page->trends)
<x-layout title="{{ $circuit->name }}">
    <x-slot:where><a href="{{ route('sites.show', $circuit->site) }}">{{ $circuit->site->name }}</a> /
        <b>{{ $circuit->name }}</b></x-slot:where>
    <main id="main" class="record" data-tag="{{ $circuit->part }}">
        <div class="record-main">
            <h1 class="sr">{{ $circuit->name }}</h1>
            @foreach (Metrum\Diagnosis\Cautions::ofRefrigerant($circuit->refrigerant()) as $caution)<p
                class="caution">◐ @told($caution)</p>@endforeach
            @if ($page->impossible !== null)<p class="caution">◐ {{ $page->impossible }} Until corrected, visits are
                judged by design values and house rules.</p>@endif
            @foreach ($page->conflicts as $conflict)<p class="caution">◐ {{ $conflict }}</p>@endforeach
            <div class="record-first">
                <section class="sheet" aria-labelledby="h-open">
                    <h2 id="h-open">Still open</h2>
                    @include('circuits.open')
                </section>
                <section class="sheet" aria-labelledby="h-left">
                    <h2 id="h-left">As left</h2>
                    @if ($page->asLeft->rows === [])<p class="empty">No control has been adjusted yet.</p>@endif
                    <dl class="facts as-left">@foreach ($page->asLeft->rows as $one)<div><dt>{{ $one['name'] }}</dt>
                        <dd>{{ $one['left'] }}@if ($one['learned']
                        !== '')<small>{{ $one['learned'] }}</small>@endif</dd></div>@endforeach</dl>
                </section>
            </div>
            @include('circuits.trends')
            <section class="sheet" aria-labelledby="h-last">
                <h2 id="h-last">@if ($latest)Last visit {{ $latest->opened_at->format('j M Y') }}:
                    {{ App\View\Explain::within($history->outcome($latest)->title()) }}@else Expected readings
                    @endif</h2>
                <div class="record-last">
                    <x-picture.course :course="$page->course" name="last" />
                    @if ($page->good !== null && $page->pairs !== [])
                        <table class="pairs">
                            <thead><tr><th scope="col">Reading</th><th scope="col">Ran well<small>
                                {{ $page->good->opened_at->format('j M Y') }}</small></th><th scope="col">Last<small>
                                {{ $latest?->opened_at->format('j M Y') }}</small></th></tr></thead>
                            <tbody>@foreach ($page->pairs as $pair)<tr><th scope="row">{{ $pair['name'] }}</th><td
                                class="num">{{ $pair['was'] }}</td><td class="num">{{ $pair['is'] }}<small>
                                {{ $pair['change'] }}</small></td></tr>@endforeach</tbody>
                        </table>
                    @endif
                </div>
            </section>
            <details class="sheet">
                <summary>System and design values</summary>
                <div class="record-first">
                    <dl class="facts">@foreach ($page->system() as $fact)<div><dt>{{ $fact['name'] }}</dt>
                        <dd>@if ($fact['value'] === null)<span class="soft">Not known</span>@else{{ $fact['value']
                        }}@endif</dd></div>@endforeach</dl>
                    <div><dl class="facts">@foreach ($page->design() as $fact)<div><dt>{{ $fact['name'] }}</dt>
                        <dd>@if ($fact['value'] === null)<span class="soft">not
                        given</span>@else{{ $fact['value'] }}@endif</dd></div>@endforeach</dl>
                        <p class="hint">Missing values are judged by the house rules.</p></div>
                </div>
            </details>
        </div>
        <aside class="record-side" aria-label="Visits">
            <form method="post" action="{{ route('visits.store', $circuit) }}" class="begin">@csrf<button
                class="btn wide">{{ $history->open() === null ? 'Start visit' : 'Continue visit' }}</button></form>
            @include('circuits.visits')
            @include('circuits.photos')
            @include('circuits.choices')
            <p class="actions">
                <a class="btn quiet" href="{{ route('circuits.ledger', $circuit) }}">Refrigerant ledger</a>
                <a class="btn quiet" href="{{ route('plant.circuit', $circuit) }}">Simulator</a>
                <a class="btn quiet" href="{{ route('circuits.replacement', $circuit) }}">Repair or replace</a>
                <a class="btn quiet" href="{{ route('circuits.code', $circuit) }}">Tag with code</a>
                <a class="btn quiet" href="{{ route('circuits.edit', $circuit) }}">Edit</a>
                <a class="btn quiet" href="{{ route('import', ['circuit' => $circuit->id]) }}">Import visit file</a>
            </p>
        </aside>
    </main>
</x-layout>
