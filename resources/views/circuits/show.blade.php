@php($circuit = $page->circuit)
@php($latest = $page->latest)
@php($history = $page->history)
<x-layout title="{{ $circuit->name }}">
    <x-slot:where><a href="{{ route('sites.show', $circuit->site) }}">{{ $circuit->site->name }}</a> /
        <b>{{ $circuit->name }}</b></x-slot:where>
    <main id="main" class="page circuit">
        <div class="page-head">
            <h1>{{ $circuit->name }}</h1>
            <form method="post" action="{{ route('visits.store', $circuit) }}">@csrf<button class="btn">Start
                visit</button></form>
            <a class="btn quiet" href="{{ route('plant.circuit', $circuit) }}">Simulator</a>
            <a class="btn quiet" href="{{ route('circuits.ledger', $circuit) }}">Refrigerant ledger</a>
            <a class="btn quiet" href="{{ route('circuits.edit', $circuit) }}">Edit</a>
            <a class="btn quiet" href="{{ route('import', ['circuit' => $circuit->id]) }}">Import visit file</a>
        </div>
        @foreach (Metrum\Diagnosis\Cautions::ofRefrigerant($circuit->refrigerant()) as $caution)<p class="caution">◐
            @told($caution)</p>@endforeach
        @if ($circuit->notes)<p class="caution">◐ Known weak points: {{ $circuit->notes }}</p>@endif
        @if ($page->impossible !== null)<p class="caution">◐ {{ $page->impossible }} Until corrected, visits are judged
            by design values and house rules.</p>@endif
        @foreach ($page->conflicts as $conflict)<p class="caution">◐ {{ $conflict }}</p>@endforeach
        <div class="two">
            <div>
                <section aria-labelledby="h-last">
                    <h2 id="h-last">@if ($latest)Last visit {{ $latest->opened_at->format('j M Y') }}:
                        {{ App\View\Explain::within($history->outcome($latest)->title()) }}@else Expected readings
                        @endif</h2>
                    <x-picture.course :course="$page->course" name="last" />
                </section>
                <section aria-labelledby="h-visits">
                    <h2 id="h-visits">Visits</h2>
                    @forelse ($history->visits as $visit)
                        @php($outcome = $history->outcome($visit))
                        <a class="row-link" href="{{ $visit->isOpen() ? $visit->address()
                            : route('visits.report', $visit) }}">
                            <span
                class="when left">{{ $visit->opened_at->format('j M Y') }}@if ($visit->isOpen())<small
                    >open</small>@endif</span>
                            <span class="grow"><b>{{ $outcome->mark()->sign() }}
                                {{ $outcome->title() }}</b><small>{{ $visit->user->name }}@if ($outcome->isProven())
                                · confirmed @elseif (! $outcome->settled && ! $outcome->blank) · provisional
                                @endif</small></span>
                            @if ($outcome->leads() && $outcome->probability() !== null)<x-bar
                                :share="$outcome->probability()" /><span
                                class="when num">{{ App\View\Explain::percent($outcome->probability()) }}</span>@endif
                        </a>
                    @empty
                        <p class="empty">No visits yet. The first visit where it runs well becomes the reference.</p>
                    @endforelse
                    @if ($history->isOld())
                        <form method="post" action="{{ route('circuits.again', $circuit) }}"
                            class="row-link">@csrf<span class="grow"><small>Some results were calculated with an older
                                version.</small></span><button class="btn quiet">Recalculate</button></form>
                    @endif
                    @if ($page->followUps->isNotEmpty())
                        <h2>Follow-ups</h2>
                        @foreach ($page->followUps as $followUp)
                            <div class="row-link"><span class="grow"><b>{{ $followUp->what }}</b></span><span
                                class="when">{{ $followUp->due_on->format('j M Y') }}</span><a class="btn quiet"
                                href="{{ route('follow-ups.calendar', $followUp) }}">Calendar</a></div>
                        @endforeach
                    @endif
                </section>
            </div>
            <section aria-labelledby="h-plant" class="sheet">
                @if ($page->controls !== [])<h2>Control settings as left</h2>
                <dl class="facts as-left">@foreach ($page->controls as $one)<div><dt>{{ $one['name'] }}</dt>
                    <dd>{{ $one['left'] }}@if ($one['learned']
                    !== '')<small>{{ $one['learned'] }}</small>@endif</dd></div>@endforeach</dl>@endif
                <h2 id="h-plant">System</h2>
                <dl class="facts">@foreach ($page->system() as $fact)<div><dt>{{ $fact['name'] }}</dt>
                    <dd>@if ($fact['value']
                    === null)<span class="soft">Not known</span>@else{{ $fact['value']
                        }}@endif</dd></div>@endforeach</dl>
                <h2>Design values</h2>
                <dl class="facts">@foreach ($page->design() as $fact)<div><dt>{{ $fact['name'] }}</dt>
                    <dd>@if ($fact['value']
                    === null)<span class="soft">not
                    given</span>@else{{ $fact['value'] }}@endif</dd></div>@endforeach</dl>
                <p class="hint">Missing values are judged by the house rules.</p>
            </section>
        </div>
    </main>
</x-layout>
