<x-layout title="No connection" plain>
    <main id="main" class="narrow">
        <h1>No connection</h1>
        <p>This page is not on this device. What was entered here waits and will be sent.</p>
        <section id="on-device" hidden><h2>Visits that open without reception</h2></section>
        <p class="actions"><a class="btn" href="">Try again</a></p>
    </main>
</x-layout>
