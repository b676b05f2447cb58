<x-layout title="Too many attempts">
    <main id="main" class="narrow">
        <h1>Too many attempts</h1>
        <p>Wait a minute, then try again.</p>
        <p class="actions"><a class="btn" href="/">Go to Today</a></p>
    </main>
</x-layout>
