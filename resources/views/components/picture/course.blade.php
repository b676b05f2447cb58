@props(['course', 'name'])
@if ($course->isBlank())
    <p class="course-blank">The course appears with the first pressure or line temperature. Box and ambient already
        give the expected values.</p>
@else
<svg viewBox="0 0 {{ $course->frame->width }} {{ $course->frame->height }}" class="course" role="img"
    aria-labelledby="{{ $name }}-title" data-points="{{ count($course->points) }}">
    <title id="{{ $name }}-title">Temperature of the refrigerant along the circuit.
        @foreach ($course->gaps as $gap){{ $gap->sentence($course->units) }}. @endforeach</title>
    <defs>
        @foreach ($course->segments as $i => $s)<linearGradient id="{{ $name }}-g{{ $i }}"
            gradientUnits="userSpaceOnUse" x1="{{ $s['x1'] }}" y1="{{ $s['y1'] }}" x2="{{ $s['x2'] }}"
            y2="{{ $s['y2'] }}"><stop offset="0" stop-color="{{ $s['from'] }}"/><stop offset="1"
            stop-color="{{ $s['to'] }}"/></linearGradient>@endforeach
    </defs>
    @foreach ($course->frame->zones() as $zone)
        <rect class="zone" x="{{ $zone['x'] }}" y="{{ $zone['y'] }}" width="{{ $zone['width'] }}"
            height="{{ $zone['height'] }}"/>
        <text class="zone-name" x="{{ $zone['textX'] }}" y="{{ $zone['textY'] }}"
            text-anchor="{{ $zone['anchor'] }}">@drawn($zone['name'])</text>
    @endforeach
    @foreach ($course->grid as $line)
        <line @class(['grid', 'zero' => $line['zero'], 'folded' => $line['fold']]) x1="{{ $line['x1'] }}"
            y1="{{ $line['y1'] }}" x2="{{ $line['x2'] }}" y2="{{ $line['y2'] }}"/>
        <text class="tick" x="{{ $line['textX'] }}" y="{{ $line['textY'] }}"
            text-anchor="{{ $course->frame->downward ? 'middle' : 'end' }}">{{ $line['text'] }}</text>
    @endforeach
    @foreach ($course->bands as $path)<path class="expected" d="{{ $path }}"/>@endforeach
    @foreach ($course->airs as $air)<line class="air" x1="{{ $air['x1'] }}" y1="{{ $air['y1'] }}"
        x2="{{ $air['x2'] }}" y2="{{ $air['y2'] }}"/>@endforeach
    <g @class(['run', 'unsettled' => ! $course->settled])>
        @foreach ($course->segments as $i => $s)<line @class(['stretch', 'saturated' => $s['saturated']])
            stroke="url(#{{ $name }}-g{{ $i }})" x1="{{ $s['x1'] }}" y1="{{ $s['y1'] }}" x2="{{ $s['x2'] }}"
            y2="{{ $s['y2'] }}"/>@endforeach
        @foreach ($course->points as $p)<circle class="{{ $p['measured'] ? 'clamp' : 'gauge' }} {{ $p['doubted']
            ? 'doubted' : '' }}" cx="{{ $p['x'] }}" cy="{{ $p['y'] }}" r="{{ $p['measured'] ? 5.5 : 3.5 }}"
            @if ($p['measured']) stroke="{{ $p['colour'] }}" @else fill="{{ $p['colour'] }}" @endif/>@endforeach
    </g>
    @foreach ($course->brackets as $bracket)<path class="bracket mark-{{ $bracket['mark'] }}"
        d="{{ $bracket['path'] }}"/>@endforeach
    @foreach ($course->labels as $label)
        <g class="label mark-{{ $label['mark'] }}">@foreach ($label['lines'] as $line)<text
            class="{{ $line['class'] }}" x="{{ $line['x'] ?? $label['x'] }}"
            y="{{ $line['y'] }}">@drawn($line['text'])</text>@endforeach</g>
    @endforeach
</svg>
@endif
