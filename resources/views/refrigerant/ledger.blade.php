<x-layout title="Refrigerant ledger of {{ $page->circuit->name }}">
    <x-slot:where><a href="{{ route('sites.show', $page->circuit->site) }}">{{ $page->circuit->site->name }}</a> / <a
        href="{{ route('circuits.show', $page->circuit) }}">{{ $page->circuit->name }}</a> /
        <b>Refrigerant</b></x-slot:where>
    <main id="main" class="page">
        <div class="page-head"><h1>{{ $page->circuit->refrigerant() }} of {{ $page->circuit->name }}</h1>
            <a class="btn quiet" href="{{ route('circuits.winter', $page->circuit) }}">Winter charge</a>
            <a class="btn quiet" href="{{ route('circuits.tag', $page->circuit) }}">Receiver tag</a>
            <a class="btn quiet" href="{{ route('ledger.csv', ['circuit' => $page->circuit->id]) }}">Export CSV</a>
            <a class="btn quiet" href="{{ route('ledger.json', ['circuit' => $page->circuit->id]) }}">Export JSON</a>
        </div>
        <div class="two">
            <div>
                @if ($page->picture() === null)
                    <p class="empty">No refrigerant movements yet. What you add or recover at a visit appears here with
                        its cylinder.</p>
                @else
                    <x-picture.ledger :picture="$page->picture()" />
                    <div class="scrolls" tabindex="0" role="region" aria-label="Movements"><table
                        class="ledger"><thead><tr><th>When</th><th class="num">Amount</th><th>Purpose</th><th>Cylinder,
                        before → after</th><th class="num">Charge on record</th><th>Who</th></tr></thead>
                    <tbody>@foreach ($page->rows() as $row)<tr><td>{{ $row['at'] }}</td><td class="num"
                        title="{{ $row['invoice'] }}">{{ $row['amount'] }}</td><td>{{ $row['purpose'] }}</td>
                            <td>{{ $row['cylinder'] }}</td><td
                        class="num">{{ $row['in'] }}</td><td>{{ $row['who'] }}</td></tr>@endforeach</tbody>
                            </table></div>
                @endif
            </div>
            <section class="sheet" aria-labelledby="h-rate"><h2 id="h-rate">Annual leak rate</h2>
                @foreach ($page->rates() as [$mark, $name, $said])<p
                    class="rate"><small>{{ $name }}</small><span
                    class="value">{{ $mark?->sign() }} {{ $said }}</span></p>@endforeach
                <p class="hint">{{ $page->threshold() }} Initial, winter and corrective charges do not count as
                    leaks.</p>
                <h2>In the system</h2>
                <dl class="facts"><div><dt>Full charge</dt><dd>{{ $page->full() }}</dd></div><div><dt>Charge on
                    record</dt><dd>{{ $page->now() }}</dd></div>@foreach ($page->sums() as $label => $sum)<div>
                        <dt>{{ ucfirst($label) }}</dt><dd>{{ $sum }}</dd></div>@endforeach</dl>
                @if ($page->lastDay() !== '')
                <h2>For the invoice, {{ $page->lastDay() }}</h2>
                <table class="ledger invoice"><tbody>@foreach ($page->invoices() as $what => $amounts)<tr><th
                    scope="row">{{ $what }}</th>@foreach ($amounts as $amount)<td
                    class="num">{{ $amount }}</td>@endforeach</tr>@endforeach</tbody></table>
                @endif
            </section>
        </div>
    </main>
</x-layout>
