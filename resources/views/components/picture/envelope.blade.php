@props(['envelope'])
@php($p = App\Picture\EnvelopePicture::class)
<svg class="envelope" viewBox="0 0 {{ $p::WIDTH }} {{ $p::HEIGHT }}" role="img" aria-label="{{ $envelope->summary() }}">
    @foreach ($envelope->across as [$x, $text])<line x1="{{ $x }}" x2="{{ $x }}" y1="{{ $p::TOP }}"
        y2="{{ $p::BOTTOM }}" class="strip-level" /><text x="{{ $x }}" y="{{ $p::BOTTOM }}" dy="16"
        text-anchor="middle">{{ $text }}</text>@endforeach
    @foreach ($envelope->up as [$y, $text])<line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}" y1="{{ $y }}"
        y2="{{ $y }}" class="strip-level" /><text x="{{ $p::LEFT }}" dx="-6" y="{{ $y }}" dy="4"
        text-anchor="end">{{ $text }}</text>@endforeach
    <path d="{{ $envelope->field }}" class="envelope-field" />
    @foreach ($envelope->zones as $zone)<path d="{{ $zone['path'] }}" class="envelope-zone" /><text
        x="{{ $zone['x'] }}" y="{{ $zone['y'] }}" text-anchor="middle">{{ $zone['label'] }}</text>@endforeach
    @if ($envelope->trail !== '')<path d="{{ $envelope->trail }}" class="envelope-trail" />@endif
    @foreach ($envelope->points as $point)<circle cx="{{ $point['x'] }}" cy="{{ $point['y'] }}" r="6"
        class="envelope-point {{ $point['class'] }}" /><text x="{{ $point['x'] }}" y="{{ $point['y'] }}"
        dx="{{ $point['anchor'] === 'end' ? -11 : 11 }}" dy="{{ $point['down'] }}"
        text-anchor="{{ $point['anchor'] }}" class="envelope-name">{{ $point['label'] }}</text>@endforeach
    <text x="{{ $p::RIGHT }}" y="{{ $p::HEIGHT }}" dy="-8" text-anchor="end">evaporating</text>
    <text x="{{ $p::LEFT }}" dx="6" y="{{ $p::TOP }}" dy="12">condensing</text>
</svg>
