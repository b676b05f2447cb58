@props(['plate'])
<svg class="ice-plate" viewBox="0 0 70 48" aria-hidden="true">
    @if ($plate->isBridged)<rect class="ice bridge" x="1" y="1" width="68" height="46" rx="4"/>@endif
    @foreach ($plate::places() as [$x, $y])<rect class="cell" x="{{ $x }}" y="{{ $y }}" width="9" height="9"
        rx="1.6"/>@endforeach
    @foreach ($plate->cells as $cell)@if ($cell['size'] > 0)<rect @class(['ice', 'cloudy' => $plate->isCloudy])
        x="{{ $cell['x'] }}" y="{{ $cell['y'] }}" width="{{ $cell['size'] }}" height="{{ $cell['size'] }}"
        rx="1.6"/>@endif @endforeach
</svg>
