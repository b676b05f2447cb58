<x-layout title="Signed out meanwhile">
    <main id="main" class="narrow">
        <h1>Signed out meanwhile</h1>
        <p>The page stood too long. Go back, reload it, and enter it again: what was saved is still there.</p>
        <p class="actions"><a class="btn" href="/">To today</a></p>
    </main>
</x-layout>
