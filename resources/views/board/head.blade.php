<header id="board-head" class="board-head" data-part data-log="{{ $page->length() }}">
    <div>
        <h1>{{ $page->worst()->sign() }} {{ $page->said->headline($page->rows) }}</h1>
        @foreach ($page->said->underIt($page->rows) as $sentence)<p>@told($sentence)</p>@endforeach
    </div>
    <dl class="board-counts">
        @foreach ($page->counts() as $count)
            <div><dt>{{ $count['name'] }}</dt><dd>{{ $count['value'] }}</dd></div>
        @endforeach
    </dl>
</header>
