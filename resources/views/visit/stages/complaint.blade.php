@include('visit.marks')
<p class="soft">People and product safe first: iced or wet floor, a way out of the box that opens from the inside,
    food that has stood warm.</p>
@if ($page->visit->circuit->notes)<p class="caution">◐ Weak points of this plant:
    {{ $page->visit->circuit->notes }}</p>@endif
@php($isNew = $page->course()->isBlank() || $page->findings->readings === [])
@php($last = $isNew ? App\View\LastVisit::before($page->visit) : null)
@if ($last !== null)@include('visit.last-visit')@else
@include('visit.course')
@endif
<p class="actions"><a class="btn" href="{{ route('visits.show', [$page->visit, 'box']) }}">On to the box</a></p>
