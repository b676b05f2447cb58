<x-layout title="No connection" plain>
    <main id="main" class="narrow">
        <h1>No connection</h1>
        <p>This page is not stored on this device. Your entries are kept and will be sent.</p>
        <section id="on-device" hidden><h2>Visits available offline</h2></section>
        <p class="actions"><a class="btn" href="">Try again</a></p>
    </main>
</x-layout>
