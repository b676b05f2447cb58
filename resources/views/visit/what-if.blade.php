<section aria-labelledby="h-what-if" class="what-if">
    <h2 id="h-what-if">What if …</h2>
    <div class="taps">
        @foreach ($whatIf->questions() as $question => $words)<button type="button" class="tap"
            hx-get="{{ route('visits.what-if', [$page->visit, $question]) }}"
            hx-target="#what-if">{{ $words }}</button>@endforeach
        <a class="btn quiet" href="{{ route('visits.bench', $page->visit) }}">Open in simulator</a>
    </div>
    <div id="what-if" aria-live="polite"></div>
</section>
