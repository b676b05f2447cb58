<div id="course-box" class="course-box" data-part>
    @php($course = $page->course())
    <div class="course-wide"><x-picture.course :course="$course" name="wide"
        />@unless ($course->isBlank())<p class="legend"><x-term word="course">The course</x-term> shows the refrigerant
        temperature along the circuit. Points in {{ $page->units->temperature->symbol() }}, brackets in
        {{ $page->units->symbol(Metrum\Quantity\QuantityKind::Difference) }}; pale band: expected.</p>@endunless
        @if ($course->missing() !== null && ! $course->isBlank())<p
        class="hint">{{ $course->missing() }}</p>@endif</div>
    @if ($page->station === Metrum\Knowledge\Station::Gauges)
        @php($slim = $page->phoneCourse())
        <div class="course-slim"><x-picture.course :course="$slim" name="slim" /></div>
    @endif
</div>
