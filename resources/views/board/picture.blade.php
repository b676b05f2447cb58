@php($course = $page->course())
<div id="board-picture" class="board-picture" data-part>
    @if ($course->isBlank())
        <p class="empty">Enter the suction header and a case temperature: the picture of the rack builds up here.</p>
    @else
        <x-picture.rack-course :course="$course" :links="$page->addresses()" />
        <p class="legend">Bars: coil as measured (dew); pale: where it is expected. ○ air into the coil, dotted to the
            air leaving it; ◂ set point. All in {{ $page->units->temperature->symbol() }}.</p>
    @endif
</div>
