@php($choices = App\Records\CircuitSheet::choices())
<x-layout title="{{ $circuit->name }}">
    <x-slot:where><a href="{{ route('sites.show', $circuit->site) }}">{{ $circuit->site->name }}</a> / {{ $circuit->name }}</x-slot:where>
    <main id="main" class="page circuit">
        <div class="page-head">
            <h1>{{ $circuit->name }}</h1>
            <form method="post" action="{{ route('visits.store', $circuit) }}">@csrf<button class="btn">Start visit</button></form>
            <a class="btn quiet" href="{{ route('circuits.edit', $circuit) }}">Change</a>
            <a class="btn quiet" href="{{ route('import', ['circuit' => $circuit->id]) }}">Take in a visit file</a>
        </div>
        @foreach (Metrum\Diagnosis\Cautions::ofRefrigerant($circuit->refrigerant()) as $caution)<p class="caution">◐ {{ $caution }}</p>@endforeach
        <div class="two">
            <section aria-labelledby="h-visits">
                <h2 id="h-visits">Visits</h2>
                @forelse ($history->visits as [$visit, $verdict])
                    <a class="row-link" href="{{ $visit->isOpen() ? route('visits.show', [$visit, 'gauges']) : route('visits.report', $visit) }}">
                        <span class="when left">{{ $visit->opened_at->format('j M Y') }}@if ($visit->isOpen())<small>open</small>@endif</span>
                        <span class="grow"><b>{{ $verdict->blank ? 'Nothing entered yet' : $verdict->first()->entry()->name }}</b><small>{{ $visit->user->name }}@if ($verdict->unsettled !== [] && ! $verdict->blank) · provisional @endif</small></span>
                        @unless ($verdict->blank)<x-bar :share="$verdict->first()->probability" /><span class="when num">{{ App\View\Explain::percent($verdict->first()->probability) }}</span>@endunless
                    </a>
                @empty
                    <p class="empty">No visit yet. Start one: the first good visit becomes what later ones are compared with.</p>
                @endforelse
                @if ($followUps->isNotEmpty())
                    <h2>Follow-ups</h2>
                    @foreach ($followUps as $followUp)
                        <div class="row-link"><span class="grow"><b>{{ $followUp->what }}</b></span><span class="when">{{ $followUp->due_on->format('j M Y') }}</span><a class="btn quiet" href="{{ route('follow-ups.calendar', $followUp) }}">Calendar</a></div>
                    @endforeach
                @endif
            </section>
            <section aria-labelledby="h-plant" class="sheet">
                <h2 id="h-plant">Plant</h2>
                <dl class="facts">
                    @foreach (App\Records\CircuitSheet::LABELS as $key => $label)
                        <div><dt>{{ $label }}</dt><dd>@if (! isset($circuit->system[$key]))<span class="soft">not known</span>@elseif (is_bool($circuit->system[$key])){{ $circuit->system[$key] ? 'yes' : 'no' }}@else{{ $choices[$key][$circuit->system[$key]] ?? $circuit->system[$key] }}@endif</dd></div>
                    @endforeach
                </dl>
                <h2>Design values</h2>
                <dl class="facts">
                    @foreach (App\Records\CircuitSheet::DESIGN_LABELS as $key => $label)
                        <div><dt>{{ $label }}</dt><dd class="num">@if (isset($circuit->design[$key])){{ $units->text(Metrum\Exchange\DesignUnits::of($key)->toSi($circuit->design[$key]), Metrum\Exchange\DesignUnits::quantity($key)) }}@else<span class="soft">house rule</span>@endif</dd></div>
                    @endforeach
                </dl>
                @if ($circuit->notes)<h2>Weak points and marks</h2><p>{{ $circuit->notes }}</p>@endif
            </section>
        </div>
    </main>
</x-layout>
