<div id="log" class="log" @if ($oob ?? false) hx-swap-oob="outerHTML" @endif>
    @foreach ($page->latest() as $entry)
        <span class="log-line"><time>{{ $entry->taken_at->format('H:i') }}</time> {{ \Illuminate\Support\Str::limit($page->explain->entry($entry), 46) }}@if ($entry->source !== 'hand') <i>{{ $entry->source }}</i>@endif
            @if ($page->visit->isOpen())<form method="post" action="{{ route('entries.undo', [$page->visit, $entry->id]) }}" hx-post="{{ route('entries.undo', [$page->visit, $entry->id]) }}" hx-swap="none" hx-sync="this:drop" data-entry>@csrf<input type="hidden" name="id" value="{{ $page->ulid() }}"><input type="hidden" name="stage" value="{{ $page->stage->value }}"><button class="plain" aria-label="Undo {{ \Illuminate\Support\Str::limit($page->explain->entry($entry), 60) }}">undo</button></form>@endif
        </span>
    @endforeach
</div>
