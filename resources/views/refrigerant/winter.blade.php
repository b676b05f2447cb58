<x-layout title="Winter charge of {{ $page->circuit->name }}">
    <x-slot:where><a href="{{ route('sites.show', $page->circuit->site) }}">{{ $page->circuit->site->name }}</a> / <a
        href="{{ route('circuits.show', $page->circuit) }}">{{ $page->circuit->name }}</a> / <b>Winter
        charge</b></x-slot:where>
    <main id="main" class="page">
        <div class="page-head"><h1>Winter charge of {{ $page->circuit->name }}</h1><a class="btn quiet"
            href="{{ route('circuits.ledger', $page->circuit) }}">Ledger</a><a class="btn quiet"
            href="{{ route('circuits.edit', $page->circuit) }}">Change its values</a></div>
        @if ($page->none() !== null)
            <p class="empty">{{ $page->none() }}</p>
        @else
            <div class="two">
                <div>
                    <x-picture.winter :picture="$page->picture()" />
                    <p class="hint">By the twin with the charge of the plate, at {{ $page->coldestWords() }} on the
                        coldest day. In the cold the valve holds liquid back in the condenser, and the receiver gives
                        it.</p>
                    @foreach ($page->limits() as [$mark, $limit])<p @class(['caution'
                        => $mark === Metrum\Findings\Mark::Act])>{{ $mark->sign() }} {{ $limit }}</p>@endforeach
                </div>
                <section class="sheet" aria-labelledby="h-winter"><h2 id="h-winter">How much more</h2>
                    <table class="ledger"><thead><tr><td></td><th class="num">By the twin</th><th class="num">By the
                        maker's arithmetic</th></tr></thead><tbody>
                            @foreach ($page->figures() as [$what, $twin, $arithmetic])<tr><th
                        scope="row">{{ $what }}</th><td class="num">{{ $twin }}</td><td
                        class="num">{{ $arithmetic }}</td></tr>@endforeach</tbody></table>
                    <p class="hint">The arithmetic leaves out what the condenser holds anyway; density half way to
                        the cold is the safe side.</p>
                    <h2>Ways to it</h2>
                    <ul class="schools">@foreach ($page->schools() as $school)<li>{{ $school['mark'] }}
                        {{ $school['name'] }}<small>{{ $school['why'] }}</small></li>@endforeach</ul>
                    <p class="hint">Each is a card at a visit, under Put right.</p>
                </section>
            </div>
        @endif
    </main>
</x-layout>
