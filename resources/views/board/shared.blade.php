<section class="board-shared" aria-labelledby="h-shared">
    <h2 id="h-shared">Rack readings</h2>
    <div class="cells row">@foreach ($page->cells() as $cell)@include('board.cell')@endforeach</div>
    <div class="board-choices">@foreach ($page->choices() as $choice)@include('board.choice')@endforeach</div>
    @include('board.compressors')
</section>
