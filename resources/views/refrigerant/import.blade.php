<x-layout title="Import ledger" where="Refrigerant">
    <main id="main" class="narrow">
        <h1>Import ledger</h1>
        <p>CSV or JSON as exported by Metrum. Required columns: <b>at</b> (date and time), <b>kilograms</b> (negative =
            recovered) and <b>circuit_id</b> or <b>where</b> (“site, circuit”). Importing a file twice does not
                duplicate movements.</p>
        @if (session('refused'))<div class="refused" role="alert"><p>Nothing imported. Fix these
            lines:</p><ul>@foreach (session('refused') as $reason)<li>{{ $reason }}</li>@endforeach</ul></div>@endif
        <form method="post" action="{{ route('ledger.import') }}" enctype="multipart/form-data" class="sheet"
            novalidate>@csrf
            <x-field name="file" label="File" type="file" accept=".csv,.json,text/csv,application/json" />
            <p class="actions"><button class="btn">Import</button> <a class="btn quiet"
                href="{{ route('stock') }}">Cancel</a></p>
        </form>
    </main>
</x-layout>
