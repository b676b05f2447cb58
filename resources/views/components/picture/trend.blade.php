@props(['trend'])
@php($p = App\Picture\TrendPicture::class)
<svg class="trend-picture" viewBox="0 0 {{ $p::WIDTH }} {{ $p::HEIGHT }}" role="img"
    aria-label="{{ $trend->summary() }}">
    @foreach ($trend->levels as [$y, $text])<line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}" y1="{{ $y }}"
        y2="{{ $y }}" class="strip-level" /><text x="{{ $p::LEFT }}" dx="-6" y="{{ $y }}" dy="4"
        text-anchor="end">{{ $text }}</text>@endforeach
    @foreach ($trend->notches as $notch)<line x1="{{ $notch['x'] }}" x2="{{ $notch['x'] }}" y1="{{ $p::TOP }}"
        y2="{{ $p::BOTTOM }}" class="trend-notch" /><text x="{{ $notch['x'] }}" y="14" text-anchor="middle"
        class="trend-done">{{ $notch['text'] }}</text>@endforeach
    <path d="{{ $trend->path }}" class="trend-line" />
    @foreach ($trend->slopes as $path)<path d="{{ $path }}" class="trend-slope" />@endforeach
    @foreach ($trend->times as [$x, $text])<text x="{{ $x }}" y="{{ $p::HEIGHT }}" dy="-8"
        text-anchor="middle">{{ $text }}</text>@endforeach
</svg>
