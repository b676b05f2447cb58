@props(['column', 'course', 'link' => ''])
<g class="rack-column mark-{{ $column->mark->value }}">
    @if ($column->doing !== '')<rect x="{{ $column->from() }}" y="104" width="{{ $column->across() }}" height="238"
        fill="url(#rack-hatch)" /><text x="{{ $column->x }}" y="116" text-anchor="middle">{{ $column->doing
        }}</text>@endif
    @if ($column->expected !== null)<rect x="{{ $column->from() }}" y="{{ $column->expected[0] }}"
        width="{{ $column->across() }}" height="{{ $column->expectedHeight() }}"
        class="rack-expected" />@endif
    @if ($column->coil !== null)@if ($course->under($column) !== null)<line x1="{{ $column->x }}" x2="{{ $column->x }}"
        y1="{{ $column->coil }}" y2="{{ $course->under($column) }}" class="rack-drop" />@endif<line
        x1="{{ $column->from() }}" x2="{{ $column->to() }}" y1="{{ $column->coil }}" y2="{{ $column->coil }}"
        class="rack-coil" stroke="{{ $column->colour }}" />@endif
    @if ($column->set !== null)<path class="rack-set" d="{{ $column->setMark() }}" />@endif
    @if ($column->air !== null)@if ($column->supply !== null)<line x1="{{ $column->x }}" x2="{{ $column->to() }}"
        y1="{{ $column->air }}" y2="{{ $column->supply }}" class="rack-air" />@endif<circle cx="{{ $column->x }}"
        cy="{{ $column->air }}" r="5" class="rack-point" /><text x="{{ $column->x }}" dx="8" y="{{ $column->air }}"
        dy="-6" class="rack-value">{{ $column->text }}</text>@endif
    @if ($link !== '')<a href="{{ $link }}" aria-label="Open {{ $column->name }}">@endif
    <rect x="{{ $column->from() }}" y="104" width="{{ $column->across() }}" height="280" class="rack-tap" />
    @foreach ($column->lines() as $y => $line)<text x="{{ $column->x }}" y="{{ $y }}"
        text-anchor="middle" class="rack-name">{{ $line }}</text>@endforeach
    @if ($link !== '')</a>@endif
</g>
