<x-layout title="Not here">
    <main id="main" class="narrow">
        <h1>Not here</h1>
        <p>There is nothing at this address. It may have been a visit or circuit of another workshop.</p>
        <p class="actions"><a class="btn" href="/">To today</a></p>
    </main>
</x-layout>
