<x-layout title="Too large">
    <main id="main" class="narrow">
        <h1>Too large</h1>
        <p>More was sent than the {{ App\Records\UploadLimit::inWords() }} that can be sent here at once. Nothing of
            it was kept.</p>
        <p class="actions"><a class="btn" href="/import">Back to visit files</a></p>
    </main>
</x-layout>
