<div id="import" @unless ($import->isDone()) hx-post="{{ route('import.step', $import) }}"
    hx-trigger="load delay:50ms" hx-swap="outerHTML" @endunless>
    @if ($import->isRefused())
        <div class="refused" role="alert"><p><b>Nothing imported.</b> Errors in the
            file:</p><ul>@foreach ($import->refused as $reason)<li><code>{{ $reason }}</code></li>@endforeach</ul></div>
        <p class="actions"><a class="btn" href="{{ route('import') }}">Choose another file</a></p>
    @else
        <x-bar :share="$import->progress()" />
        <p role="status">{{ $import->taken > 0 || $import->checked >= $import->visits
            ? $import->taken.' of '.$import->visits.' visits imported.' :
            $import->checked.' of '.$import->visits.' visits checked; nothing imported yet.' }}</p>
        @if ($import->isDone())<p class="actions"><a class="btn" href="{{ route('today') }}">Go to Today</a></p>@endif
    @endif
</div>
