<x-layout title="Back in a moment">
    <main id="main" class="narrow">
        <h1>Back in a moment</h1>
        <p>{{ $exception->getMessage() ?: 'Metrum is being brought up to date.' }}</p>
        <p class="actions"><a class="btn" href="/">To today</a></p>
    </main>
</x-layout>
