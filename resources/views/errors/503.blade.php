<x-layout title="Back in a moment">
    <main id="main" class="narrow">
        <h1>Back in a moment</h1>
        <p>{{ in_array($exception->getMessage(), ['', 'Service Unavailable'], true)
            ? 'Metrum is being updated. Try again in a minute. What you enter until then is kept on this device.'
            : $exception->getMessage() }}</p>
        <p class="actions"><a class="btn" href="/">Go to Today</a></p>
    </main>
</x-layout>
