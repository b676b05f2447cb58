@include('visit.marks')
<p class="soft">Safety first: wet or icy floor, inside door release of the box, food held too warm.</p>
@if ($page->visit->circuit->notes)<p class="caution">◐ Known weak points:
    {{ $page->visit->circuit->notes }}</p>@endif
@php($isNew = $page->course()->isBlank() || $page->findings->readings === [])
@php($last = $isNew ? App\View\LastVisit::before($page->visit) : null)
@if ($last !== null)@include('visit.last-visit')@else
@include('visit.course')
@endif
<p class="actions"><a class="btn" href="{{ route('visits.show', [$page->visit, 'box']) }}">Next: {{
    App\View\Explain::within(Metrum\Knowledge\Station::Box->labelAt($page->findings->circuit)) }}</a></p>
