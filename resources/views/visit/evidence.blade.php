@if ($suspect->speaksFor !== [] || $suspect->speaksAgainst !== [])
<ul class="evidence">
    @foreach (array_slice($suspect->speaksFor, 0, $most ?? 5) as [$piece, $weight])
        <li><svg class="weight" viewBox="0 0 56 10" aria-hidden="true"><rect class="weight-for"
            x="{{ round(56 - min(56, 20 * $weight), 1) }}" width="{{ round(min(56, 20 * $weight), 1) }}" height="10"
            rx="2"/></svg><span><span class="sr">for: </span>{{ $page->explain->evidence($piece) }}</span></li>
    @endforeach
    @foreach (array_slice($suspect->speaksAgainst, 0, ($most ?? 5) < 5 ? 1 : 3) as [$piece, $weight])
        <li class="against"><svg class="weight" viewBox="0 0 56 10" aria-hidden="true"><rect class="weight-against"
            x="{{ round(55 - min(54, -20 * $weight), 1) }}" y="1" width="{{ round(min(54, -20 * $weight), 1) }}"
            height="8" rx="2"/></svg><span>against:
            {{ App\View\Explain::within($page->explain->evidence($piece)) }}</span></li>
    @endforeach
</ul>
@endif
