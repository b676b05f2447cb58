<x-layout title="Today" where="{{ now()->format('l j F') }}">
    <main id="main" class="today">
        <h1 class="sr">Today</h1>
        <section class="finder" aria-label="Find a circuit">
            <label for="find">Start a visit: find a site or circuit</label>
            <input id="find" type="search" name="q" placeholder="brygga cold room" autocomplete="off" data-slash
                hx-get="{{ route('find') }}" hx-trigger="input changed delay:120ms, search" hx-target="#found">
            <div id="found" aria-live="polite"></div>
            <p class="hint"><a href="{{ route('search') }}">Search everything: notes, repairs, follow-ups, what
                drifts</a></p>
        </section>

        <section aria-labelledby="h-open">
            <h2 id="h-open">Open visits</h2>
            @forelse ($visits as $visit)
                <a class="row-link" data-open-visit href="{{ $visit->address() }}"
                    data-circuit="{{ route('circuits.show', $visit->circuit_id, false) }}">
                    <span class="grow"><b>{{ $visit->circuit->name }}</b><small>{{ $visit->circuit->site->name }} ·
                        {{ $visit->circuit->refrigerant() }} · {{ $visit->user->name }}</small></span>
                    <span class="when">since {{ $visit->opened_at->isToday() ? $visit->opened_at->format('H:i')
                        : $visit->opened_at->format('j M H:i') }}</span>
                </a>
            @empty
                <p class="empty">No open visits. Find a circuit above to start one.</p>
            @endforelse
            <x-more :list="$visits" of="open visits" />
        </section>

        <section aria-labelledby="h-due">
            <h2 id="h-due">Follow-ups</h2>
            @forelse ($followUps as $followUp)
                <div class="row-link">
                    <a class="grow" href="{{ route('circuits.show',
                        $followUp->circuit) }}"><b>{{ $followUp->what }}</b><small>{{ $followUp->circuit->name }},
                        {{ $followUp->circuit->site->name }}</small>@include('today.terms')</a>
                    <span class="when">@if ($followUp->done_at !== null)○ done @elseif ($followUp->isOverdue())<span
                        class="mark-act">●</span> overdue since @elseif ($followUp->isDue())<span
                        class="mark-act">●</span> due @endif{{ $followUp->due_on->format('j M') }}</span>
                    @can('tick', $followUp)<form method="post" action="{{ route('follow-ups.done',
                        $followUp) }}">@csrf<button class="btn quiet" name="done"
                        value="{{ $followUp->done_at === null ? 1 : 0 }}">{{ $followUp->done_at === null ? 'Done'
                        : 'Reopen' }}</button></form>@endcan
                </div>
            @empty
                <p class="empty">No follow-ups. You add them when closing out a visit.</p>
            @endforelse
            <x-more :list="$followUps" of="follow-ups" />
        </section>

        <section aria-labelledby="h-look">
            <h2 id="h-look">Circuits needing attention</h2>
            @forelse ($looks as $visit)
                @php($outcome = $visit->verdict->verdict())
                <a class="row-link" href="{{ route('circuits.show', $visit->circuit) }}">
                    <span class="grow"><b>{{ $outcome->mark()->sign() }}
                        {{ $outcome->title() }}</b><small>{{ $visit->circuit->name }},
                        {{ $visit->circuit->site->name }} · {{ $visit->opened_at->format('j M') }}</small></span>
                    <x-bar :share="$outcome->probability()" />
                    <span class="when num">{{ App\View\Explain::percent($outcome->probability()) }}</span>
                </a>
            @empty
                <p class="empty">No circuit needs attention.</p>
            @endforelse
            <x-more :list="$looks" of="circuits" />
        </section>

        <section aria-labelledby="h-sites">
            <h2 id="h-sites">Sites</h2>
            @foreach ($sites as $site)
                <a class="row-link" href="{{ route('sites.show', $site) }}"><span
                    class="grow"><b>{{ $site->name }}</b><small>{{ $site->place }}</small></span><span
                    class="when">{{ $site->circuits_count }} {{ $site->circuits_count === 1 ? 'circuit'
                    : 'circuits' }}</span></a>
            @endforeach
            <x-more :list="$sites" of="sites" />
            <p class="actions"><a class="btn quiet" href="{{ route('sites.create') }}">New site</a> <a
                class="btn quiet" href="{{ route('import') }}">Import visit file</a></p>
        </section>
    </main>
</x-layout>
