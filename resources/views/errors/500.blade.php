<x-layout title="That did not work">
    <main id="main" class="narrow">
        <h1>That did not work</h1>
        <p>The entry may not have been saved: look at the visit before entering it again. The fault is noted in the
            log of the server.</p>
        <p class="actions"><a class="btn" href="/">To today</a></p>
    </main>
</x-layout>
