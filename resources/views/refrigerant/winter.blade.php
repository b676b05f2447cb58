<x-layout title="Winter charge of {{ $page->circuit->name }}">
    <x-slot:where><a href="{{ route('sites.show', $page->circuit->site) }}">{{ $page->circuit->site->name }}</a> / <a
        href="{{ route('circuits.show', $page->circuit) }}">{{ $page->circuit->name }}</a> / <b>Winter
        charge</b></x-slot:where>
    <main id="main" class="page">
        <div class="page-head"><h1>Winter charge of {{ $page->circuit->name }}</h1><a class="btn quiet"
            href="{{ route('circuits.ledger', $page->circuit) }}">Ledger</a><a class="btn quiet"
            href="{{ route('circuits.edit', $page->circuit) }}">Edit design values</a></div>
        @if ($page->none() !== null)
            <p class="empty">{{ $page->none() }}</p>
        @else
            <div class="two">
                <div>
                    <x-picture.winter :picture="$page->picture()" />
                    <p class="hint">Twin with nameplate charge, at {{ $page->coldestWords() }} on the coldest day. In
                        cold weather the head pressure valve floods the condenser with liquid from the receiver.</p>
                    @foreach ($page->limits() as [$mark, $limit])<p @class(['caution'
                        => $mark === Metrum\Findings\Mark::Act])>{{ $mark->sign() }} {{ $limit }}</p>@endforeach
                </div>
                <section class="sheet" aria-labelledby="h-winter"><h2 id="h-winter">Extra charge</h2>
                    <table class="ledger"><thead><tr><td></td><th class="num">Twin</th><th class="num">Manufacturer's
                        method</th></tr></thead><tbody>
                            @foreach ($page->figures() as [$what, $twin, $arithmetic])<tr><th
                        scope="row">{{ $what }}</th><td class="num">{{ $twin }}</td><td
                        class="num">{{ $arithmetic }}</td></tr>@endforeach</tbody></table>
                    <p class="hint">The manufacturer's method ignores liquid the condenser always holds; using
                        mid-temperature density is conservative.</p>
                    <h2>Methods</h2>
                    <ul class="schools">@foreach ($page->schools() as $school)<li>{{ $school['mark'] }}
                        {{ $school['name'] }}<small>{{ $school['why'] }}</small></li>@endforeach</ul>
                    <p class="hint">Each is a procedure at a visit, under Repair & adjust.</p>
                </section>
            </div>
        @endif
    </main>
</x-layout>
