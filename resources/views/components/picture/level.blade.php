@props(['level'])
@php($p = App\Picture\LevelPicture::class)
<svg class="level-picture" viewBox="0 0 {{ $p::WIDTH }} {{ $p::HEIGHT }}" role="img"
    aria-label="Receiver level expected across ambient temperature, with earlier visits and now">
    @foreach ($level->levels as [$y, $text])<line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}" y1="{{ $y }}"
        y2="{{ $y }}" class="strip-level" /><text x="{{ $p::LEFT }}" dx="-6" y="{{ $y }}" dy="4"
        text-anchor="end">{{ $text }}</text>@endforeach
    <path d="{{ $level->path() }}" class="level-band" />
    @foreach ($level->dots as [$x, $y])<circle cx="{{ $x }}" cy="{{ $y }}" r="3.5" class="level-dot" />@endforeach
    @if ($level->now !== null)<circle cx="{{ $level->now[0] }}" cy="{{ $level->now[1] }}" r="5"
        class="level-now" /><text x="{{ $level->now[0] }}" dx="9" y="{{ $level->now[1] }}" dy="5"
        class="level-text">{{ $level->now[2] }}</text>@endif
    @foreach ($level->ambients as [$x, $text])<text x="{{ $x }}" y="{{ $p::HEIGHT }}" dy="-6"
        text-anchor="middle">{{ $text }}</text>@endforeach
</svg>
