<div class="next" role="group" aria-label="{{ $heading ??
    $check->purpose->label() }}: {{ App\View\Explain::within($check->title()) }}">
    <h3>{{ $heading ?? $check->purpose->label() }}: {{ App\View\Explain::within($check->title()) }}</h3>
    <p>@told($check->how) <span class="soft">{{ $check->minutes }} min, {{ $check->effort->label() }}.</span></p>
    <dl>
        @foreach ($check->outcomes as $outcome)
            <div><dt>{{ $page->explain->outcome($check, $outcome,
                $page->judged->asTyped()) }}</dt><dd>{{ App\View\Explain::within($outcome->leads->label()) }},
                {{ App\View\Explain::percent($outcome->probability) }}</dd></div>
        @endforeach
    </dl>
    @foreach ($check->cautions as $caution)<p class="caution">◐ @told($caution)</p>@endforeach
    <a class="btn" href="{{ $page->linkTo($check) }}">Enter result</a>
    @if ($check->key instanceof Metrum\Knowledge\Question && $page->shelf->for($check->key) !== null)<a
        class="btn quiet"
            href="{{ App\View\CardList::link($page->visit, $page->shelf->for($check->key)) }}">Procedure</a>@endif
</div>
