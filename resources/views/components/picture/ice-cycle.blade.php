@props(['cycle'])
@php($p = App\Picture\IceCyclePicture::class)
<svg class="ice-cycle" viewBox="0 0 {{ $p::WIDTH }} {{ $p::HEIGHT }}" role="img" aria-label="{{ $cycle->summary() }}">
    <defs><pattern id="ice-harvest" width="7" height="7" patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"><line x1="0" x2="0" y1="0" y2="7" class="ice-hatch" /></pattern></defs>
    @foreach ($cycle->levels as [$y, $text])<line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}" y1="{{ $y }}"
        y2="{{ $y }}" class="strip-level" /><text x="{{ $p::LEFT }}" dx="-6" y="{{ $y }}" dy="4"
        text-anchor="end">{{ $text }}</text>@endforeach
    <rect x="{{ $cycle->end['x'] }}" y="{{ $p::TOP }}" width="{{ $cycle->end['width'] }}"
        height="{{ $p::TALL }}" class="ice-end" />
    <text x="{{ $cycle->end['middle'] }}" y="{{ $p::TOP }}" dy="-8"
        text-anchor="middle">{{ $cycle->end['text'] }}</text>
    @if ($cycle->harvest !== null)<rect x="{{ $cycle->harvest['x'] }}" y="{{ $p::TOP }}"
        width="{{ $cycle->harvest['width'] }}" height="{{ $p::TALL }}" class="ice-harvest" /><text
        x="{{ $p::RIGHT }}" y="{{ $p::TOP }}" dy="-24" text-anchor="end">{{ $cycle->harvest['text'] }}</text>@endif
    <path d="{{ $cycle->sump }}" class="ice-band" />
    <path d="{{ $cycle->suction }}" class="ice-band" />
    <line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}" y1="{{ $cycle->freezing }}" y2="{{ $cycle->freezing }}"
        class="ice-freezing" />
    @if ($cycle->line !== '')<path d="{{ $cycle->line }}" class="ice-line" />@endif
    @foreach ($cycle->sumpDots as [$x, $y, $text])<circle cx="{{ $x }}" cy="{{ $y }}" r="5"
        class="ice-dot water" /><text x="{{ $x }}" y="{{ $y }}" dx="9" dy="4"
        class="ice-read">{{ $text }}</text>@endforeach
    @foreach ($cycle->dots as [$x, $y, $text])<circle cx="{{ $x }}" cy="{{ $y }}" r="5" class="ice-dot" /><text
        x="{{ $x }}" y="{{ $y }}" dy="-10" text-anchor="middle" class="ice-read">{{ $text }}</text>@endforeach
    @foreach ($cycle->minutes as [$x, $text])<text x="{{ $x }}" y="{{ $p::BOTTOM }}" dy="20"
        text-anchor="middle">{{ $text }}</text>@endforeach
</svg>
