<x-entry :page="$page" kind="reading" :key="$cell->reading->value" :part="$cell->part" stage="board" :whole="true"
    :id="$cell->domId()" class="cell" data-part>
    <label for="in-{{ $cell->domId() }}">{{ $cell->label }}</label>
    <span class="cell-value"><input id="in-{{ $cell->domId() }}" name="value" value="{{ $cell->value }}"
        title="{{ $cell->reading->label() }}: {{ $cell->reading->place() }}" autocomplete="off" inputmode="text"
        enterkeyhint="next" @disabled(! $page->mayEnter)><i>{{ $cell->unit }}</i></span>
    @if ($cell->before !== '')<small class="before">was {{ $cell->before }}</small>@endif
</x-entry>
