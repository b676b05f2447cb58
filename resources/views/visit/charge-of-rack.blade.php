<section id="card" class="card-open" aria-labelledby="h-move" data-part>
    <header><h2 id="h-move">Charging</h2></header>
    <p>The charge is shared by the whole rack: no kilograms from one circuit. The receiver level shows it, for this
        weather and what is in defrost.</p>
    <p><a class="btn" href="{{ route('visits.board', $page->visit) }}#board-charge">Refrigerant on the rack
        board</a></p>
</section>
