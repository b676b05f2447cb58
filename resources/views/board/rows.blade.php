<section id="board-rows" class="board-rows" aria-labelledby="h-circuits" data-part>
    <h2 id="h-circuits">Circuits</h2>
    @foreach ($page->worstFirst() as $row)
        <article id="{{ $row->domId() }}" class="board-row" data-part>
            <div class="board-row-head">
                <span class="mark">{{ $row->mark->sign() }}</span>
                <h3>{{ $row->name }}</h3>
                <p>{{ $row->warmest === '' ? 'not read' : $row->warmest }} · {{ $row->doing }}@if ($row->isIll())
                    · {{ App\View\Explain::within($row->finding($page->percent(...))) }}@endif</p>
            </div>
            <div class="board-row-entries">
                @foreach ($row->cells as $cell)@include('board.cell')@endforeach
                @if ($row->address !== '')<a class="btn quiet" data-circuit
                    href="{{ $row->address }}">Open<span class="sr">
                    {{ $row->name }}</span></a>@endif
                @if ($row->ofCases !== '')<a class="btn quiet" href="{{ $row->ofCases }}">Cases<span class="sr"> of
                    {{ $row->name }}</span></a>@endif
                <details class="board-more"><summary>State, closing off</summary>
                    @foreach ($row->choices as $choice)@include('board.choice')@endforeach</details>
            </div>
        </article>
    @endforeach
</section>
