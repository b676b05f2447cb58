<x-layout title="Importing {{ $import->name }}" where="Importing visits">
    <main id="main" class="narrow">
        <h1>{{ $import->name }}</h1>
        @include('visit.import-bar')
        @unless ($import->isDone())
            <p class="hint">You can leave this page; the import continues when you reopen it.</p>
            <noscript><form method="post" action="{{ route('import.step', $import) }}">@csrf<button
                class="btn">Continue</button></form></noscript>
        @endunless
    </main>
</x-layout>
