<section class="board-shared" aria-labelledby="h-shared">
    <h2 id="h-shared">Rack readings</h2>
    <div class="cells row">@foreach ($page->cells() as $cell)@include('board.cell')@endforeach</div>
    <div class="board-choices">@foreach ($page->choices() as $choice)@include('board.choice')@endforeach</div>
    @foreach ($page->groups()->apart() as $group)
        <section class="board-group" aria-label="Suction group {{ $group['name'] }}">
            <h3>Suction group {{ $group['name'] }} <small class="soft">{{ $group['circuits'] }}</small></h3>
            <div class="cells row">@foreach ($group['cells'] as $cell)@include('board.cell')@endforeach</div>
        </section>
    @endforeach
    @include('board.compressors')
</section>
