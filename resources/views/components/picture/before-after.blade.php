@props(['picture'])
<svg xmlns="http://www.w3.org/2000/svg" class="before-after" width="{{ $picture::WIDTH }}"
    height="{{ $picture->height }}" viewBox="0 0 {{ $picture::WIDTH }} {{ $picture->height }}" role="img"
    aria-label="{{ __('As found and as left') }}: @drawn(implode('; ', array_map(fn ($row)
    => $row['label'].' '.$row['text'].' '.$row['wanted'], $picture->rows)))">
@foreach ($picture->rows as $row)
<text class="ba-label" x="0" y="{{ $row['textY'] }}" font-family="DejaVu Sans" font-size="12"
    fill="#1d2a30">@drawn($row['label'])</text>
<line class="ba-line" x1="190" y1="{{ $row['y'] }}" x2="470" y2="{{ $row['y'] }}" stroke="#b9b2a2" stroke-width="1"/>
@if ($row['band'] !== null)<rect class="ba-band" x="{{ $row['band']['x'] }}" y="{{ $row['band']['y'] }}"
    width="{{ $row['band']['width'] }}" height="{{ $picture::BAND }}" fill="#d5e3e2"/>@endif
@if ($row['was'] !== null && $row['is'] !== null)<line class="ba-way" x1="{{ $row['was'] }}" y1="{{ $row['y'] }}"
    x2="{{ $row['is'] }}" y2="{{ $row['y'] }}" stroke="#1d2a30" stroke-width="2"/>@endif
@if ($row['was'] !== null)<circle class="ba-was" cx="{{ $row['was'] }}" cy="{{ $row['y'] }}" r="5.5" fill="#fffefa"
    stroke="#1d2a30" stroke-width="2"/>@endif
@if ($row['is'] !== null)<circle class="ba-is" cx="{{ $row['is'] }}" cy="{{ $row['y'] }}" r="6" fill="#1d2a30"/>@endif
<text class="ba-text" x="484" y="{{ $row['textY'] }}" font-family="DejaVu Sans" font-size="11.5" font-weight="bold"
    fill="#1d2a30">@drawn($row['text'])</text>
<text class="ba-wanted" x="590" y="{{ $row['textY'] }}" font-family="DejaVu Sans" font-size="10"
    fill="#5a666a">@drawn($row['wanted'])</text>
@endforeach
</svg>
