<x-layout title="Take in a ledger" where="Refrigerant">
    <main id="main" class="narrow">
        <h1>Take in a ledger</h1>
        <p>CSV or JSON as Metrum writes it. Wanted are <b>at</b> (date and time), <b>kilograms</b> (below zero: came
            out) and <b>circuit_id</b> or <b>where</b> (“site, circuit”). A movement that is here already is not
            doubled, however often its file comes.</p>
        @if (session('refused'))<div class="refused" role="alert"><p>Nothing of the file was taken
            in:</p><ul>@foreach (session('refused') as $reason)<li>{{ $reason }}</li>@endforeach</ul></div>@endif
        <form method="post" action="{{ route('ledger.import') }}" enctype="multipart/form-data" class="sheet"
            novalidate>@csrf
            <x-field name="file" label="File" type="file" accept=".csv,.json,text/csv,application/json" />
            <p class="actions"><button class="btn">Take it in</button> <a class="btn quiet"
                href="{{ route('stock') }}">Cancel</a></p>
        </form>
    </main>
</x-layout>
