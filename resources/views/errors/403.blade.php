<x-layout title="Not allowed">
    <main id="main" class="narrow">
        <h1>Not allowed</h1>
        <p>{{ $exception->getMessage() ?: 'You do not have access to this. Ask a lead.' }}</p>
        <p class="actions"><a class="btn" href="/">Go to Today</a></p>
    </main>
</x-layout>
