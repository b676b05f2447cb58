<x-layout title="Back in a moment">
    <main id="main" class="narrow">
        <h1>Back in a moment</h1>
        <p>{{ in_array($exception->getMessage(), ['', 'Service Unavailable'], true)
            ? 'Metrum is being brought up to date. What you enter meanwhile waits on this device.'
            : $exception->getMessage() }}</p>
        <p class="actions"><a class="btn" href="/">To today</a></p>
    </main>
</x-layout>
