<div id="log" class="log" data-part data-log="{{ $page->length() }}">
    @foreach ($page->work()->latest() as $line)
        <span class="log-line"><time>{{ $line['at'] }}</time> {{ $line['said'] }}@if ($line['source'] !== '')
            <i>{{ $line['source'] }}</i>@endif
            @if ($page->mayEnter && $line['canUndo'])<x-entry :page="$page" :says="'undo '.$line['said']"
                stage="board" :action="route('entries.undo', [$page->visit, $line['id']])"><button class="plain"
                aria-label="Undo {{ $line['said'] }}">Undo</button></x-entry>@endif
        </span>
    @endforeach
</div>
