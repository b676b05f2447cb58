<x-entry :page="$page" kind="reading" :key="$cell->reading->value" :id="$cell->domId()"
    :class="'cell place-'.$cell->reading->name" data-part card>
    <label for="in-{{ $cell->reading->value }}">{{ $cell->reading->short() }}</label>
    <span class="cell-value"><input id="in-{{ $cell->reading->value }}" @if ($cell->doubted) data-doubted @endif
        name="value" value="{{ $cell->value }}" title="{{ $cell->reading->label() }}: {{ $cell->reading->place() }}"
        autocomplete="off" inputmode="text" enterkeyhint="next" aria-describedby="hint-{{ $cell->reading->value }}"
        @disabled(! $page->mayEnter)><i>{{ $cell->unit }}</i>@if ($cell->reading->row()->drawn !==
            null)@include('visit.where',
        ['reading' => $cell->reading])@endif</span>
    @include('visit.hint')
</x-entry>
