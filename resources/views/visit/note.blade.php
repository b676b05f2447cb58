<form id="note-form" class="note-line" method="post" action="{{ route('entries.store', $page->visit) }}" hx-post="{{ route('entries.store', $page->visit) }}" hx-target="this" hx-swap="outerHTML" hx-sync="this:queue last" data-entry @if ($oob ?? false) hx-swap-oob="outerHTML" @endif>
    @csrf
    <input type="hidden" name="id" value="{{ $page->ulid() }}"><input type="hidden" name="kind" value="note"><input type="hidden" name="key" value="note"><input type="hidden" name="stage" value="{{ $page->stage->value }}">
    <kbd aria-hidden="true">/</kbd><label class="sr" for="note">Note</label>
    <input id="note" name="value" placeholder="note: anything seen, said or promised" autocomplete="off" maxlength="4000" data-slash value="{{ $typed ?? '' }}" @disabled(! $page->visit->isOpen())>
    <button class="btn quiet" @disabled(! $page->visit->isOpen())>Note it</button>
    @if ($error ?? null)<p class="error" role="alert">{{ $error }}</p>@endif
</form>
