@props(['course', 'links' => []])
@php($p = App\Picture\RackCourse::class)
<div class="scrolls" tabindex="0" role="region" aria-label="Picture of the rack">
<svg class="rack-course" viewBox="0 0 {{ $p::WIDTH }} {{ $p::HEIGHT }}" role="group"
    aria-label="Coils, air and set points of all cases over the suction header; the list below says the same">
    <defs><pattern id="rack-hatch" width="8" height="8" patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"><line y2="8" class="rack-hatch" /></pattern></defs>
    @if ($course->condensing !== null)<line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}"
        y1="{{ $course->condensing[0] }}" y2="{{ $course->condensing[0] }}" class="rack-condensing" /><text
        x="{{ $p::LEFT }}" y="{{ $course->condensing[0] }}" dy="-7">condensing (bubble)</text><text
        x="{{ $p::RIGHT }}" y="{{ $course->condensing[0] }}" dy="-7" text-anchor="end"
        class="rack-value">{{ $course->condensing[1] }}</text>@endif
    @if ($course->ambient !== null)<line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}" y1="{{ $course->ambient[0] }}"
        y2="{{ $course->ambient[0] }}" class="rack-ambient" /><text x="{{ $p::LEFT }}"
        y="{{ $course->ambient[0] }}" dy="15">ambient</text><text x="{{ $p::RIGHT }}" y="{{ $course->ambient[0] }}"
        dy="15" text-anchor="end" class="rack-value">{{ $course->ambient[1] }}</text>@endif
    @foreach ($course->levels as [$y, $text])<line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}" y1="{{ $y }}"
        y2="{{ $y }}" class="strip-level" /><text x="{{ $p::LEFT }}" dx="-8" y="{{ $y }}" dy="4"
        text-anchor="end">{{ $text }}</text>@endforeach
    @foreach ($course->headers as $header)<line x1="{{ $header->from }}" x2="{{ $header->to }}" y1="{{ $header->y }}"
        y2="{{ $header->y }}" class="rack-header" />@endforeach
    @foreach ($course->columns as $column)<x-picture.rack-column :column="$column" :course="$course"
        :link="$links[$column->circuit] ?? ''" />@endforeach
    @foreach ($course->headers as $header)<text x="{{ $header->from }}" y="{{ $header->y }}" dy="16"
        class="rack-said">{{ $header->name }} {{ $header->at }}@if ($header->set !== ''), set {{ $header->set
        }}@endif</text>@endforeach
    @foreach ($course->brackets as [$from, $to, $text])<path class="rack-bracket"
        d="M{{ $from }} 384 v6 H{{ $to }} v-6" /><text x="{{ $from }}" y="406">{{ $text }}</text>@endforeach
</svg>
</div>
