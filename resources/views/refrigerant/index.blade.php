<x-layout title="Refrigerant" where="Refrigerant">
    <main id="main" class="page">
        <div class="page-head"><h1>Refrigerant stock</h1>
            <a class="btn" href="{{ route('cylinders.create') }}">New cylinder</a>
            <a class="btn quiet" href="{{ route('ledger.csv') }}">Export CSV</a>
            <a class="btn quiet" href="{{ route('ledger.json') }}">Export JSON</a>
            <a class="btn quiet" href="{{ route('ledger.import') }}">Import ledger</a>
        </div>
        @if ($page->marks() === [])
            <p class="empty">No cylinders yet. Add one so every movement has a weight before and after.</p>
        @else
            <p class="stock-sums">@foreach ($page->sums() as $refrigerant => $sum)<span><b>{{ $refrigerant }}</b>
                {{ $sum }}</span>@endforeach</p>
            <div class="cylinders">@foreach ($page->marks() as $mark)@include('refrigerant.mark')@endforeach</div>
        @endif
        <section aria-labelledby="h-moves"><h2 id="h-moves">Movements <span
            class="soft">{{ $page->count() }}</span></h2>
            @if ($page->count() === 0)
                <p class="empty">No movements yet. Additions and recoveries from visits appear here.</p>
            @else
                <div class="scrolls" tabindex="0" role="region" aria-label="Movements"><table
                    class="ledger"><thead><tr><th>When</th><th>Where</th><th>Refrigerant</th><th
                    class="num">Amount</th><th>Purpose</th><th>Cylinder</th><th>Who</th></tr></thead>
                <tbody>@foreach ($page->movements() as $one)<tr><td>{{ $one->at->format('j M Y') }}</td>
                    <td>{{ $one->where }}</td><td>{{ $one->refrigerant }}</td><td
                    class="num">{{ $page->amount($one) }}</td><td>{{ $one->purpose->label() }}</td>
                        <td>{{ $page->cylinderOf($one) }}</td><td>{{ $one->who }}</td></tr>@endforeach</tbody>
                        </table></div>
                @if ($page->pages > 1)<nav class="pager" aria-label="Pages of the ledger">
                    @if ($page->newer() !== null)<a
                    class="btn quiet" href="{{ route('stock', ['page' => $page->newer()]) }}">Newer</a>@endif
                    <span>{{ $page->page }} of {{ $page->pages }}</span>
                    @if ($page->older() !== null)<a
                    class="btn quiet" href="{{ route('stock', ['page' => $page->older()]) }}">Older</a>@endif
                </nav>@endif
            @endif
        </section>
    </main>
</x-layout>
