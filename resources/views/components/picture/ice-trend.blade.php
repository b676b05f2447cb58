@props(['trend'])
@php($p = App\Picture\IceTrendPicture::class)
<svg class="level-picture" viewBox="0 0 {{ $p::WIDTH }} {{ $p::HEIGHT }}" role="img"
    aria-label="Ice a day across inlet water temperature: expected in this air, earlier visits, and now">
    @foreach ($trend->days as [$y, $text])<line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}" y1="{{ $y }}"
        y2="{{ $y }}" class="strip-level" /><text x="{{ $p::LEFT }}" dx="-6" y="{{ $y }}" dy="4"
        text-anchor="end">{{ $text }}</text>@endforeach
    <path d="{{ $trend->band }}" class="level-band" />
    @foreach ($trend->dots as [$x, $y])<circle cx="{{ $x }}" cy="{{ $y }}" r="4" class="level-dot" />@endforeach
    @if ($trend->now !== null)<circle cx="{{ $trend->now[0] }}" cy="{{ $trend->now[1] }}" r="5.5"
        class="level-now" /><text x="{{ $trend->now[0] }}" dx="4" y="{{ $trend->now[1] }}" dy="20"
        class="level-text">{{ $trend->now[2] }}</text>@endif
    @foreach ($trend->waters as [$x, $text])<text x="{{ $x }}" y="{{ $p::HEIGHT }}" dy="-22"
        text-anchor="middle">{{ $text }}</text>@endforeach
    <text x="{{ $p::LEFT }}" y="0" dy="12">{{ $trend->unit }} a day</text>
    <text x="{{ $p::RIGHT }}" y="{{ $p::HEIGHT }}" dy="-5" text-anchor="end">inlet water</text>
</svg>
