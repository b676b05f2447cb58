<x-layout title="Not now">
    <main id="main" class="narrow">
        <h1>Not now</h1>
        <p>{{ $exception->getMessage() ?: 'This is not open to you.' }}</p>
        <p class="actions"><a class="btn" href="/">To today</a></p>
    </main>
</x-layout>
