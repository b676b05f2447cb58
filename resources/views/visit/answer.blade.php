{{-- the control that was used, then each part of the page that the entry made stale, to its place --}}
@if ($answer->used !== null)
    @include('visit.control', ['control' => $answer->used, 'error' => $answer->refusal, 'oob' => false])
@endif
@foreach ($answer->touched as $control)@include('visit.control', ['control' => $control, 'error' => null, 'oob' => true])@endforeach
@if ($answer->isStale(Metrum\Log\Part::Verdict))@include('visit.verdict', ['oob' => true])@endif
@if ($answer->isStale(Metrum\Log\Part::Walk))@include('visit.walk', ['oob' => true])@endif
@if ($answer->isLogStale())@include('visit.log', ['oob' => true])@endif
@if ($answer->isCourseStale())@include('visit.course', ['oob' => true])@endif
@foreach ($answer->hinted() as $cell)@include('visit.hint', ['oob' => true])@endforeach
