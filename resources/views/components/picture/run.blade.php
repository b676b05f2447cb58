@props(['run'])
<svg viewBox="0 0 {{ $run::WIDTH }} {{ $run::HEIGHT }}" class="drawing run-picture" role="img"
    aria-labelledby="run-title">
    <title id="run-title">Simulation over time: box and product temperature, evaporating and condensing temperature,
        frost on the coil. {{ implode('; ', $run->firstEvents()) }}.</title>
    @foreach ($run->modes as $mode)<rect class="{{ $mode['class'] }}" x="{{ $mode['x'] }}" y="8"
        width="{{ $mode['width'] }}" height="298"/>@endforeach
    @foreach ($run->levels as $level)<text class="tick" x="{{ $run::LEFT }}" dx="-6" y="{{ $level['y'] }}" dy="4"
        text-anchor="end">{{ $level['text'] }}</text><line class="grid" x1="{{ $run::LEFT }}" x2="{{ $run::RIGHT }}"
        y1="{{ $level['y'] }}" y2="{{ $level['y'] }}"/>@endforeach
    @foreach ($run->curves as $curve)<path class="curve {{ $curve['class'] }}" d="{{ $curve['path'] }}"/><text
        class="curve-name" x="{{ $curve['x'] }}" y="{{ $curve['y'] }}">{{ $curve['name'] }}</text>@endforeach
    @foreach ($run->hours as $hour)<text class="tick" x="{{ $hour['x'] }}" y="322"
        text-anchor="middle">{{ $hour['text'] }}</text>@endforeach
</svg>
<p class="run-key"><span class="key-running"></span> running <span class="key-defrosting"></span> defrost <span
    class="key-off"></span> off, pump-down or drip</p>
