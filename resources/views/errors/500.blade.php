<x-layout title="Something went wrong">
    <main id="main" class="narrow">
        <h1>Something went wrong</h1>
        <p>The entry may not be saved. Check the visit before you enter it again. The error is logged on the server.</p>
        <p class="actions"><a class="btn" href="/">Go to Today</a></p>
    </main>
</x-layout>
