@props(['picture'])
<svg {{ $attributes->merge(['class' => 'strip charge-picture']) }}
    viewBox="0 0 {{ $picture->width }} {{ $picture->height }}" role="img"
    aria-label="Superheat and subcooling vs. refrigerant added, as in the table below">
    <text x="{{ $picture->left() }}" y="14" class="strip-title">Superheat ○ and subcooling □,
        {{ $picture->unit() }}, vs. amount added</text>
    @foreach ($picture->levels() as $level)<line x1="{{ $picture->left() }}" x2="{{ $picture->right() }}"
        y1="{{ $level['y'] }}" y2="{{ $level['y'] }}" class="strip-level" /><text x="{{ $picture->left() }}" dx="-7"
        y="{{ $level['y'] }}" dy="4" text-anchor="end" class="strip-small">{{ $level['text'] }}</text>@endforeach
    @if ($picture->aimed() !== null)@php($aim = $picture->aimed())<rect x="{{ $aim['from'] }}"
        y="{{ $picture->top() }}" width="{{ $aim['width'] }}"
        height="{{ $picture->depth() }}" class="strip-wanted" /><line x1="{{ $aim['x'] }}"
        x2="{{ $aim['x'] }}" y1="{{ $picture->top() }}" y2="{{ $picture->bottom() }}" class="strip-notch" /><text
        x="{{ $aim['textX'] }}" y="{{ $picture->top() }}" dy="-4" text-anchor="middle"
        class="strip-move">{{ $aim['text'] }}</text>@endif
    @if ($picture->knee() !== null)<line x1="{{ $picture->knee()['x'] }}" x2="{{ $picture->knee()['x'] }}"
        y1="{{ $picture->knee()['from'] }}" y2="{{ $picture->bottom() }}" class="knee" /><text
        x="{{ $picture->knee()['x'] }}" dx="-6" y="{{ $picture->top() }}" dy="24" text-anchor="end"
        class="strip-move">knee</text>@endif
    <path d="{{ $picture->course(Metrum\Findings\DerivedFigure::EvaporatorSuperheat) }}" class="charge-course"
        /><path d="{{ $picture->course(Metrum\Findings\DerivedFigure::Subcooling) }}" class="charge-course second" />
    @foreach ($picture->superheats() as $dot)<circle cx="{{ $dot['x'] }}" cy="{{ $dot['y'] }}" r="5.5"
        class="strip-dot" /><text x="{{ $dot['x'] }}" y="{{ $dot['y'] }}" dy="-11" text-anchor="middle"
        class="strip-value">{{ $dot['text'] }}</text>@endforeach
    @foreach ($picture->subcoolings() as $dot)<rect x="{{ $dot['x'] }}" y="{{ $dot['y'] }}"
        transform="translate(-5 -5)" width="10"
        height="10" class="strip-dot second" /><text x="{{ $dot['x'] }}" y="{{ $dot['y'] }}" dy="20"
        text-anchor="middle" class="strip-value">{{ $dot['text'] }}</text>@endforeach
    @foreach ($picture->amounts() as $amount)<text x="{{ $amount['x'] }}" y="{{ $picture->height }}" dy="-8"
        text-anchor="middle" class="strip-small">{{ $amount['text'] }}</text>@endforeach
</svg>
