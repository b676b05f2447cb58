<form id="{{ $cell->domId() }}" class="cell place-{{ $cell->reading->name }}" method="post" action="{{ $page->entries }}" data-entry data-part>
    @csrf
    <input type="hidden" name="id" value="{{ $page->ulid() }}"><input type="hidden" name="kind" value="reading"><input type="hidden" name="key" value="{{ $cell->reading->value }}"><input type="hidden" name="stage" value="{{ $page->station->value }}">@include('visit.open-card')
    <label for="in-{{ $cell->reading->value }}">{{ $cell->reading->short() }}</label>
    <span class="cell-value"><input id="in-{{ $cell->reading->value }}" @if ($cell->doubted) data-doubted @endif name="value" value="{{ $cell->value }}" title="{{ $cell->reading->label() }}: {{ $cell->reading->place() }}" autocomplete="off" inputmode="text" enterkeyhint="next" aria-describedby="hint-{{ $cell->reading->value }}" @disabled(! $page->mayEnter)><i>{{ $cell->unit }}</i></span>
    @include('visit.hint')
</form>
