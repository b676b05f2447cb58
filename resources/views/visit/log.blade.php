<div id="log" class="log" data-part data-log="{{ $page->length() }}">
    @foreach ($page->latest() as $fact)
        @php($said = $page->explain->fact($fact))
        <span class="log-line"><time>{{ $fact->takenAt->format('H:i') }}</time>
            {{ Illuminate\Support\Str::limit($said, 46) }}@if ($fact->source !== Metrum\Log\Source::Hand)
            <i>{{ $fact->source->value }}</i>@endif
            @if ($page->mayEnter && $fact->rule()->canBeTakenBack())<x-entry :page="$page"
                :says="'undo '.(Illuminate\Support\Str::limit($said, 60))" :action="route('entries.undo',
                [$page->visit, $fact->id])" card><button class="plain"
                aria-label="Undo {{ Illuminate\Support\Str::limit($said, 60) }}">Undo</button></x-entry>@endif
        </span>
    @endforeach
</div>
