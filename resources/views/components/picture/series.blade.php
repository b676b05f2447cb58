@props(['series'])
<svg class="series-picture"
    viewBox="0 0 {{ App\Picture\SeriesPicture::WIDTH }} {{ App\Picture\SeriesPicture::HEIGHT }}" aria-hidden="true">
    @foreach ($series->levels as [$y, $words])<line class="series-level" x1="12" x2="430" y1="{{ $y }}"
        y2="{{ $y }}"/><text x="438" y="{{ $y }}" dy="4">{{ $words }}</text>@endforeach
    <path class="series-line" d="{{ $series->path() }}"/>
    @foreach ($series->dots as [$x, $y])<circle class="series-dot" cx="{{ $x }}" cy="{{ $y }}" r="4"/>@endforeach
    <text class="series-small" x="12" y="106">{{ $series->from }}</text><text class="series-small" x="430" y="106"
        text-anchor="end">{{ $series->to }}</text>
</svg>
