@props(['bars'])
<svg class="bars-picture" viewBox="0 0 {{ $bars::WIDTH }} {{ $bars->height }}" role="img"
    aria-label="{{ $bars->title }}: {{ implode('; ', array_map(fn ($row) => $row['label'].' '.$row['text'],
    $bars->rows)) }}">
    @foreach ($bars->rows as $row)
        <text x="0" y="{{ $row['y'] }}" dy="15">{{ $row['label'] }}</text>
        <rect class="{{ $row['strong'] ? 'bar-strong' : 'bar' }}" x="{{ $row['x'] }}" y="{{ $row['y'] }}"
            width="{{ $row['width'] }}" height="20"/>
        <text class="bar-text" x="{{ $row['textX'] }}"
            y="{{ $row['y'] }}" dy="15">{{ $row['text'] }}</text>
    @endforeach
</svg>
