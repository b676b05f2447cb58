<x-layout title="Taking in {{ $import->name }}" where="Taking in visits">
    <main id="main" class="narrow">
        <h1>{{ $import->name }}</h1>
        @include('visit.import-bar')
        @unless ($import->isDone())
            <p class="hint">The page can be left: it goes on where it was when it is opened again.</p>
            <noscript><form method="post" action="{{ route('import.step', $import) }}">@csrf<button class="btn">Go
                on</button></form></noscript>
        @endunless
    </main>
</x-layout>
