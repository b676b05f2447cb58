@foreach (App\View\StationCautions::of($page->station, $page->findings->circuit) as $caution)<p
    class="caution station">◐ @told($caution)</p>@endforeach
<div class="cells row">@foreach ($page->controls->cells() as $cell)@include('visit.cell')@endforeach</div>
<div class="choices">@foreach ($page->controls->choices() as $choice)@include('visit.choice')@endforeach</div>
<details class="fold" id="course-fold"><summary>Course so far</summary>@include('visit.course')</details>
<p class="actions"><a class="btn" href="{{ route('visits.show', [$page->visit,
    $page->station->next()->value]) }}">Next: {{ App\View\Explain::within($page->station->next()->labelAt(
    $page->findings->circuit)) }}</a></p>
