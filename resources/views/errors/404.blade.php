<x-layout title="Page not found">
    <main id="main" class="narrow">
        <h1>Page not found</h1>
        <p>Nothing at this address. It may belong to another workshop.</p>
        <p class="actions"><a class="btn" href="/">Go to Today</a></p>
    </main>
</x-layout>
