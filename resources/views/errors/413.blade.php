<x-layout title="File too large">
    <main id="main" class="narrow">
        <h1>File too large</h1>
        <p>The file is larger than the {{ App\Records\UploadLimit::inWords() }} limit. Nothing was saved.</p>
        <p class="actions"><a class="btn" href="/import">Back to import</a></p>
    </main>
</x-layout>
