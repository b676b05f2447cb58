{{-- what came of the moves, and the clock that runs --}}
<div class="work-said">
    @php([$latest, $earlier] = $page->work()->story->latest())
    @foreach ($latest as $sentence)<p>@told($sentence)</p>@endforeach
    @if ($earlier !== [])<details class="earlier"><summary>{{ count($earlier) }}
        {{ Str::plural('change', count($earlier)) }}
        before</summary>@foreach ($earlier as $sentence)<p>@told($sentence)</p>@endforeach</details>@endif
    @if ($page->work()->story->toRead() !== [])<p class="before-move">◐ Before the last change. Re-read:
        {{ implode(', ', $page->work()->story->toRead()) }}.</p>@endif
</div>
