<x-layout title="Not understood">
    <main id="main" class="narrow">
        <h1>Not understood</h1>
        <p>{{ $exception->getMessage() ?: 'What was sent could not be read.' }}</p>
        <p class="actions"><a class="btn" href="/">To today</a></p>
    </main>
</x-layout>
