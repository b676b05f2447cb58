@if ($suspect->speaksFor !== [] || $suspect->speaksAgainst !== [])
<ul class="evidence">
    @foreach ($page->explain->strongestFor($suspect, $most ?? null) as [$piece, $bar])
        <li><svg class="weight" viewBox="0 0 56 10" aria-hidden="true"><rect class="weight-for"
            x="{{ $bar->x }}" width="{{ $bar->width }}" height="10"
            rx="2"/></svg><span><span class="sr">for: </span>{{ $piece }}</span></li>
    @endforeach
    @foreach ($page->explain->strongestAgainst($suspect, $most ?? null) as [$piece, $bar])
        <li class="against"><svg class="weight" viewBox="0 0 56 10" aria-hidden="true"><rect class="weight-against"
            x="{{ $bar->x }}" y="1" width="{{ $bar->width }}"
            height="8" rx="2"/></svg><span>against: {{ $piece }}</span></li>
    @endforeach
</ul>
@endif
