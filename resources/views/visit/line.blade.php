<x-entry :page="$page" kind="line" key="line" says="" id="line-form" class="line">
    <div class="line-box">
        <kbd aria-hidden="true">/</kbd><label class="sr" for="line">Quick entry: readings, observations or a
            note</label>
        <input id="line" name="value" placeholder="suction 2.1 bar, bulb 6, sight glass bubbles" autocomplete="off"
            autocapitalize="none" maxlength="2000" data-slash enterkeyhint="send"
            hx-get="{{ route('entries.meaning', $page->visit) }}" hx-trigger="input changed delay:120ms"
                hx-target="#line-meaning" hx-swap="innerHTML" hx-sync="this:replace" @disabled(! $page->mayEnter)>
        <span id="line-meaning" class="line-meaning" aria-live="polite"></span>
        <button class="btn quiet" @disabled(! $page->mayEnter)>Add</button>
    </div>
</x-entry>
<div id="waiting" class="waiting" role="status" aria-live="polite"></div>
