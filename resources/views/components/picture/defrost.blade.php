@props(['defrost'])
@php($p = App\Picture\DefrostPicture::class)
<svg class="defrost-picture" viewBox="0 0 {{ $p::WIDTH }} {{ $p::HEIGHT }}" role="img"
    aria-label="{{ $defrost->summary() }}">
    @foreach ($defrost->levels as [$y, $text])<line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}" y1="{{ $y }}"
        y2="{{ $y }}" class="strip-level" /><text x="{{ $p::LEFT }}" dx="-6" y="{{ $y }}" dy="4"
        text-anchor="end">{{ $text }}</text>@endforeach
    @if ($defrost->frost !== '')<path d="{{ $defrost->frost }}" class="defrost-frost" />@endif
    @if ($defrost->coil !== '')<path d="{{ $defrost->coil }}" class="defrost-coil" />@endif
    @if ($defrost->limit !== null)<line x1="{{ $defrost->limit[0] }}" x2="{{ $defrost->limit[0] }}" y1="16"
        y2="{{ $p::DOWN }}" class="defrost-limit" /><text x="{{ $defrost->limit[0] }}" y="12"
        text-anchor="middle">{{ $defrost->limit[1] }}</text>@endif
    @foreach ($defrost->dots as [$x, $y, $text])<circle cx="{{ $x }}" cy="{{ $y }}" r="4"
        class="defrost-dot" /><text x="{{ $x }}" y="{{ $y }}" dy="-8" text-anchor="middle"
        class="defrost-read">{{ $text }}</text>@endforeach
    @foreach ($defrost->bars as $bar)
        <text x="{{ $p::LEFT }}" dx="-6" y="{{ $bar['y'] }}" dy="14" text-anchor="end">{{ $bar['name'] }}</text>
        @foreach ($bar['pieces'] as $piece)<rect x="{{ $piece['x'] }}" y="{{ $bar['y'] }}"
            width="{{ $piece['width'] }}" height="{{ $p::BAR }}" class="{{ $piece['class'] }}" /><text
            x="{{ $piece['middle'] }}" y="{{ $bar['y'] }}" dy="14" text-anchor="middle"
            class="on-{{ $piece['class'] }}">{{ $piece['text'] }}</text>@endforeach
    @endforeach
    @foreach ($defrost->minutes as [$x, $text])<text x="{{ $x }}" y="{{ $p::HEIGHT }}" dy="-8"
        text-anchor="middle">{{ $text }}</text>@endforeach
</svg>
