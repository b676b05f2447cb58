@php($ink = ['fine' => '#5a666a', 'look' => '#8a5a00', 'act' => '#a3350f', 'air' => '#1d2a30'])
<svg xmlns="http://www.w3.org/2000/svg" width="{{ $course->frame->width }}" height="{{ $course->frame->height }}"
    viewBox="0 0 {{ $course->frame->width }} {{ $course->frame->height }}">
@foreach ($course->frame->zones() as $zone)
<rect x="{{ $zone['x'] }}" y="{{ $zone['y'] }}" width="{{ $zone['width'] }}" height="{{ $zone['height'] }}"
    fill="#f3f0e8"/>
<text x="{{ $zone['textX'] }}" y="{{ $zone['textY'] }}" text-anchor="middle" font-family="DejaVu Sans" font-size="9"
    fill="#5a666a">@drawn($zone['name'])</text>
@endforeach
@foreach ($course->grid as $line)
<line x1="{{ $line['x1'] }}" y1="{{ $line['y1'] }}" x2="{{ $line['x2'] }}" y2="{{ $line['y2'] }}"
    stroke="{{ $line['zero'] ? '#7fa3ab' : '#d9d3c6' }}" stroke-width="{{ $line['zero'] ? 1.2 : 0.7 }}"/>
<text x="{{ $line['textX'] }}" y="{{ $line['textY'] }}" text-anchor="end" font-family="DejaVu Sans" font-size="8.5"
    fill="#5a666a">@drawn($line['text'])</text>
@endforeach
@foreach ($course->bands as $path)<path d="{{ $path }}" fill="#d6cfbf" stroke="none"/>
@endforeach
@foreach ($course->airs as $air)<line x1="{{ $air['x1'] }}" y1="{{ $air['y1'] }}" x2="{{ $air['x2'] }}"
    y2="{{ $air['y2'] }}" stroke="#1d2a30" stroke-width="1.2" stroke-dasharray="2,4"/>
@endforeach
@foreach ($course->pieces() as $s)<line x1="{{ $s['x1'] }}" y1="{{ $s['y1'] }}" x2="{{ $s['x2'] }}"
    y2="{{ $s['y2'] }}" stroke="{{ $s['colour'] }}" stroke-width="{{ $s['saturated'] ? 7 : 4 }}"
    stroke-linecap="round"/>
@endforeach
@foreach ($course->points as $p)<circle cx="{{ $p['x'] }}" cy="{{ $p['y'] }}" r="{{ $p['measured'] ? 5 : 3 }}"
    fill="{{ $p['measured'] ? '#ffffff' : $p['colour'] }}" stroke="{{ $p['colour'] }}"
    stroke-width="{{ $p['measured'] ? 3 : 0.5 }}"/>
@endforeach
@foreach ($course->brackets as $bracket)<path d="{{ $bracket['path'] }}" fill="none"
    stroke="{{ $ink[$bracket['mark']] }}" stroke-width="1.4"/>
@endforeach
@foreach ($course->labels as $label)@foreach ($label['lines'] as $line)@if ($line['text'] !== '')<text
    x="{{ $line['x'] ?? $label['x'] }}" y="{{ $line['y'] }}" font-family="DejaVu Sans"
    font-size="{{ App\Picture\CourseLabels::printed($line) }}"
    @if ($line['class'] === 'gap-value') font-weight="bold" @endif
    fill="{{ $line['class'] === 'gap-wanted' ? '#5a666a' : $ink[$label['mark']] }}">@drawn($line['text'])</text>
@endif @endforeach @endforeach
</svg>
