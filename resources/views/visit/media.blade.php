{{-- photos and voice notes: each is of what was touched last --}}
@if ($page->mayEnter)
    <div id="media" class="media">
        <label class="btn quiet">Photo<input id="photo-now" type="file" accept="image/*" capture="environment" multiple
            data-photos class="sr"></label>
        <label class="btn quiet">From files<input type="file" accept="image/*" multiple data-photos
            class="sr"></label>
        <button type="button" class="btn quiet" data-voice>Voice note</button>
        <span class="media-of">of <b id="media-of">Visit</b> <button type="button" id="media-whole" class="plain"
            hidden>whole visit instead</button></span>
        <label class="sr" for="media-caption">Caption for the next photo or voice note</label>
        <input id="media-caption" maxlength="240" autocomplete="off" placeholder="caption, if any">
        <span id="media-said" role="status" aria-live="polite"></span>
    </div>
    <div id="media-waiting" class="waiting media-waiting" role="status" aria-live="polite"></div>
@endif
<div id="attachments" class="attachments" data-part>
    @foreach ($page->visit->attachments as $one)
        <x-attachment :one="$one" />
    @endforeach
</div>
