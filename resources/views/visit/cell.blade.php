@php($error = $cell->error)
<form id="{{ $cell->domId() }}" class="cell {{ $error ? 'has-error' : '' }} place-{{ $cell->reading->name }}" method="post" action="{{ $page->entries }}" hx-post="{{ $page->entries }}" hx-target="this" hx-swap="outerHTML" hx-trigger="change, submit" hx-sync="this:queue last" data-entry @if ($oob ?? false) hx-swap-oob="outerHTML" @endif>
    @csrf
    <input type="hidden" name="id" value="{{ $page->ulid() }}"><input type="hidden" name="kind" value="reading"><input type="hidden" name="key" value="{{ $cell->reading->value }}"><input type="hidden" name="stage" value="{{ $page->station->value }}">
    <label for="in-{{ $cell->reading->value }}">{{ $cell->reading->short() }}</label>
    <span class="cell-value"><input id="in-{{ $cell->reading->value }}" name="value" value="{{ $cell->value }}" title="{{ $cell->reading->label() }}: {{ $cell->reading->place() }}" autocomplete="off" inputmode="text" enterkeyhint="next" @if ($error) aria-invalid="true" aria-describedby="err-{{ $cell->reading->value }}" @else aria-describedby="hint-{{ $cell->reading->value }}" @endif @disabled(! $page->visit->isOpen())><i>{{ $cell->unit }}</i></span>
    @include('visit.hint', ['oob' => false])
    @if ($error)<p class="error" role="alert" id="err-{{ $cell->reading->value }}">{{ $error }}</p>@endif
</form>
