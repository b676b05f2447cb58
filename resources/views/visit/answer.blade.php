{{-- each part of the page that an entry made stale --}}
@if ($answer->isStageStale())
    @include('visit.stage')
@else
    @foreach ($answer->touched as $control)@include('visit.control')@endforeach
    @if ($answer->isCourseStale())@include('visit.course')@endif
    @if ($answer->isStale(Metrum\Log\Region::Verdict))@include('visit.table')@endif
    @foreach ($answer->hinted() as $cell)@include('visit.hint')@endforeach
@endif
@if ($answer->isStateStale())@include('visit.state')@endif
@if ($answer->isStale(Metrum\Log\Region::Verdict))@include('visit.verdict')@endif
@if ($answer->isStale(Metrum\Log\Region::Walk))@include('visit.walk')@endif
@if ($answer->isStale(Metrum\Log\Region::Work))
    @include('visit.clocks')
    @include('visit.touched')
    @include('visit.hazards')
    @include('visit.which-one')
@endif
@include('visit.log')
