<section aria-labelledby="h-run">
    <h2 id="h-run">{{ $length === Metrum\Twin\RunLength::Day ? 'Last 24 h' : 'Last hour' }}, compressor on
        {{ $run->runningShare() }}</h2>
    <x-picture.run :run="$run" />
    @if ($run->swing() !== '')<p class="hint">{{ $run->swing() }}</p>@endif
    <details class="fold"><summary>Event list</summary><ol
        class="run-events">@foreach ($run->events() as $event)<li
        class="num">{{ $event }}</li>@endforeach</ol></details>
</section>
