<div id="import" @unless ($import->isDone()) hx-post="{{ route('import.step', $import) }}"
    hx-trigger="load delay:50ms" hx-swap="outerHTML" @endunless>
    @if ($import->isRefused())
        <div class="refused" role="alert"><p><b>Nothing was taken in.</b> The file
            says:</p><ul>@foreach ($import->refused as $reason)<li><code>{{ $reason }}</code></li>@endforeach</ul></div>
        <p class="actions"><a class="btn" href="{{ route('import') }}">Choose another file</a></p>
    @else
        <x-bar :share="$import->progress()" />
        <p role="status">{{ $import->taken > 0 || $import->checked >= $import->visits
            ? $import->taken.' of '.$import->visits.' visits are taken in.' :
            $import->checked.' of '.$import->visits.' visits are checked; nothing is taken in yet.' }}</p>
        @if ($import->isDone())<p class="actions"><a class="btn" href="{{ route('today') }}">To today</a></p>@endif
    @endif
</div>
