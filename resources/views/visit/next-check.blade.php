<div class="next" role="group" aria-label="Next: {{ lcfirst($check->title()) }}">
    <h3>Next: {{ lcfirst($check->title()) }}</h3>
    <p>{{ $check->how }} <span class="soft">{{ $check->minutes }} min, {{ ['look' => 'a look', 'hand' => 'by hand', 'clamp' => 'with a clamp', 'gauge' => 'with gauges', 'intervention' => 'an intervention'][$check->effort] }}.</span></p>
    <dl>
        @foreach ($check->outcomes as $outcome)
            <div><dt>{{ $page->explain->outcome($check, $outcome) }}</dt><dd>{{ lcfirst($page->explain->fault($outcome->leads)) }}, {{ App\View\Explain::percent($outcome->probability) }}</dd></div>
        @endforeach
    </dl>
    @foreach ($check->cautions as $caution)<p class="caution">◐ {{ $caution }}</p>@endforeach
    <a class="btn" href="{{ $page->linkTo($check) }}">Enter it</a>
</div>
