<section aria-labelledby="h-run">
    <h2 id="h-run">{{ $length === Metrum\Twin\RunLength::Day ? 'A day' : 'An hour' }}, running
        {{ $run->runningShare() }} of it</h2>
    <x-picture.run :run="$run" />
    @if ($run->swing() !== '')<p class="hint">{{ $run->swing() }}</p>@endif
    <details class="fold"><summary>What happened, in order</summary><ol
        class="run-events">@foreach ($run->events() as $event)<li
        class="num">{{ $event }}</li>@endforeach</ol></details>
</section>
