@props(['cycle'])
<svg viewBox="0 0 {{ $cycle::WIDTH }} {{ $cycle::HEIGHT }}" class="drawing cycle" role="img"
    aria-labelledby="cycle-title">
    <title id="cycle-title">Pressure–enthalpy diagram: cycle now, healthy system for comparison.</title>
    <clipPath id="cycle-clip"><rect x="{{ $cycle::CUT['x'] }}" y="{{ $cycle::CUT['y'] }}"
        width="{{ $cycle::CUT['width'] }}" height="{{ $cycle::CUT['height'] }}"/></clipPath>
    @foreach ($cycle->levels as $level)<line class="grid" x1="36" x2="{{ $cycle::END }}" y1="{{ $level['y'] }}"
        y2="{{ $level['y'] }}"/><text class="tick" x="31" y="{{ $level['y'] }}" dy="4"
        text-anchor="end">{{ $level['text'] }}</text>@endforeach
    <g clip-path="url(#cycle-clip)"><path class="dome" d="{{ $cycle->dome }}"/></g>
    <path class="sound" d="{{ $cycle->sound }}"/>
    <path class="now" d="{{ $cycle->now }}"/>
    @foreach ($cycle->corners as $corner)<circle cx="{{ $corner['x'] }}" cy="{{ $corner['y'] }}" r="4.5"
        fill="{{ $corner['colour'] }}"/>@endforeach
    <text class="tick" x="4" y="13">{{ $cycle->unit }} abs</text>
    <text class="tick" x="{{ $cycle::END }}" y="{{ $cycle::FOOT }}" text-anchor="end">enthalpy →</text>
</svg>
