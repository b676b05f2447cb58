{{-- what came of the moves, and the clock that runs --}}
<div class="work-said">
    @foreach (array_slice($page->work()->story->outcomes(), 0, 3) as $sentence)<p>{{ $sentence }}</p>@endforeach
    @if ($page->work()->story->toRead() !== '')<p class="before-move">◐ Before the last move. Read again: {{ $page->work()->story->toRead() }}.</p>@endif
</div>
