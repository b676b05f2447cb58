<form id="line-form" class="line" data-says="" method="post" action="{{ $page->entries }}" data-entry>
    @csrf
    <input type="hidden" name="id" value="{{ $page->ulid() }}"><input type="hidden" name="kind" value="line"><input type="hidden" name="key" value="line"><input type="hidden" name="stage" value="{{ $page->station->value }}">
    <div class="line-box">
        <kbd aria-hidden="true">/</kbd><label class="sr" for="line">Say it in a line: readings, what you see, or a note</label>
        <input id="line" name="value" placeholder="suction 2.1 bar, bulb 6, glass bubbles" autocomplete="off" autocapitalize="none" maxlength="2000" data-slash enterkeyhint="send"
            hx-get="{{ route('entries.meaning', $page->visit) }}" hx-trigger="input changed delay:120ms" hx-target="#line-meaning" hx-swap="innerHTML" hx-sync="this:replace" @disabled(! $page->mayEnter)>
        <span id="line-meaning" class="line-meaning" aria-live="polite"></span>
        <button class="btn quiet" @disabled(! $page->mayEnter)>Enter</button>
    </div>
</form>
<div id="waiting" class="waiting" role="status" aria-live="polite"></div>
