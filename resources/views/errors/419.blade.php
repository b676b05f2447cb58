<x-layout title="You were signed out">
    <main id="main" class="narrow">
        <h1>You were signed out</h1>
        <p>The page was open too long. Go back, reload and enter it again. Saved entries are safe.</p>
        <p class="actions"><a class="btn" href="/">Go to Today</a></p>
    </main>
</x-layout>
