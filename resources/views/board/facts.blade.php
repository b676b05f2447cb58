<dl id="board-facts" class="board-facts" data-part>
    @foreach ($page->facts() as $fact)
        <div @class(['asks' => $fact['asks']])><dt>{{ $fact['name'] }}</dt><dd>@told($fact['value'])</dd></div>
    @endforeach
</dl>
