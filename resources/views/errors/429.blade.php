<x-layout title="Too many tries">
    <main id="main" class="narrow">
        <h1>Too many tries</h1>
        <p>Wait a minute, then try again.</p>
        <p class="actions"><a class="btn" href="/">To today</a></p>
    </main>
</x-layout>
