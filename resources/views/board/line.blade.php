<x-entry :page="$page" kind="line" key="line" says="" stage="board" id="line-form" class="line">
    <div class="line-box">
        <kbd aria-hidden="true">/</kbd><label class="sr" for="line">Quick entry: rack readings, a circuit’s after its
            name, or a note</label>
        <input id="line" name="value" placeholder="level 31 % · {{ $page->exampleLine() }}"
            autocomplete="off" autocapitalize="none" maxlength="2000" data-slash enterkeyhint="send"
            @disabled(! $page->mayEnter)>
        <button class="btn quiet" @disabled(! $page->mayEnter)>Add</button>
    </div>
</x-entry>
<div id="waiting" class="waiting" role="status" aria-live="polite"></div>
