@props(['curves', 'glide'])
<svg class="saturation-picture" viewBox="0 0 {{ $curves::WIDTH }} {{ $curves::HEIGHT }}" role="img"
    aria-label="Bubble and dew pressure over temperature{{ $curves->glide === null ? ''
    : '; glide '.$glide.' at this pressure' }}">
    @foreach ($curves->pressures as [$y, $words])<line class="level" x1="56" x2="500" y1="{{ $y }}"
        y2="{{ $y }}"/><text x="50" y="{{ $y }}" dy="4" text-anchor="end">{{ $words }}</text>@endforeach
    @foreach ($curves->temperatures as [$x, $words])<line class="level" x1="{{ $x }}" x2="{{ $x }}" y1="12"
        y2="196"/><text x="{{ $x }}" y="214" text-anchor="middle">{{ $words }}</text>@endforeach
    <path class="bubble-curve" d="{{ $curves->bubble }}"/><path class="dew-curve" d="{{ $curves->dew }}"/>
    @if ($curves->glide !== null)
        <line class="asked" x1="56" x2="500" y1="{{ $curves->glide['y'] }}" y2="{{ $curves->glide['y'] }}"/>
        <circle class="bubble-dot" cx="{{ $curves->glide['from'] }}" cy="{{ $curves->glide['y'] }}" r="5"/><circle
            class="dew-dot" cx="{{ $curves->glide['to'] }}" cy="{{ $curves->glide['y'] }}" r="5"/>
        <text class="named" x="{{ $curves->glide['from'] }}" dx="-8" y="{{ $curves->glide['y'] }}" dy="-9"
            text-anchor="end">bubble</text><text class="named" x="{{ $curves->glide['to'] }}" dx="8"
            y="{{ $curves->glide['y'] }}" dy="18">dew</text>
    @endif
</svg>
