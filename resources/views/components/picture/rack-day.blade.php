@props(['day'])
@php($p = App\Picture\RackDayPicture::class)
<svg class="rack-day" viewBox="0 0 {{ $p::WIDTH }} {{ $p::HEIGHT }}" role="img" aria-label="A day by the twin:
    {{ $day->summary() }}">
    @foreach ($day->standing as [$x, $width])<rect x="{{ $x }}" y="12" width="{{ $width }}" height="210"
        class="day-standing" />@endforeach
    @foreach ($day->lanes as $lane)
        @foreach ($lane['levels'] as [$y, $text])<line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}" y1="{{ $y }}"
            y2="{{ $y }}" class="strip-level" /><text x="{{ $p::LEFT }}" dx="-6" y="{{ $y }}" dy="4"
            text-anchor="end">{{ $text }}</text>@endforeach
        <path d="{{ $lane['path'] }}" class="{{ $lane['class'] }}" />
        <text x="{{ $p::LEFT }}" dx="6" y="{{ $lane['y'] }}" class="day-name">{{ $lane['name'] }}</text>
    @endforeach
    @foreach ($day->hours as [$x, $text])<text x="{{ $x }}" y="{{ $p::HEIGHT }}" dy="-8"
        text-anchor="middle">{{ $text }}</text>@endforeach
</svg>
