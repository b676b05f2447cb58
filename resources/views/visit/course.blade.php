<div id="course-box" class="course-box" @if ($oob ?? false) hx-swap-oob="outerHTML" @endif>
    <div class="course-wide"><x-picture.course :course="$page->course()" name="wide" /></div>
    @if ($page->stage === App\View\Stage::Gauges)<div class="course-slim"><x-picture.course :course="$page->phoneCourse()" name="slim" /></div>@endif
</div>
