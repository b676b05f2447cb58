<div id="log" class="log" data-part data-log="{{ $page->length() }}">
    @foreach ($page->latest() as $fact)
        @php($said = $page->explain->fact($fact))
        <span class="log-line"><time>{{ $fact->takenAt->format('H:i') }}</time> {{ Illuminate\Support\Str::limit($said, 46) }}@if ($fact->source !== Metrum\Log\Source::Hand) <i>{{ $fact->source->value }}</i>@endif
            @if ($page->mayEnter && $fact->rule()->canBeTakenBack())<form method="post" action="{{ route('entries.undo', [$page->visit, $fact->id]) }}" data-entry data-says="undo {{ Illuminate\Support\Str::limit($said, 60) }}">@csrf<input type="hidden" name="id" value="{{ $page->ulid() }}"><input type="hidden" name="stage" value="{{ $page->station->value }}">@include('visit.open-card')<button class="plain" aria-label="Undo {{ Illuminate\Support\Str::limit($said, 60) }}">undo</button></form>@endif
        </span>
    @endforeach
</div>
