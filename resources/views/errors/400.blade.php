<x-layout title="Request not understood">
    <main id="main" class="narrow">
        <h1>Request not understood</h1>
        <p>{{ $exception->getMessage() ?: 'The request could not be read. Go back and try again.' }}</p>
        <p class="actions"><a class="btn" href="/">Go to Today</a></p>
    </main>
</x-layout>
