@php($sheet = App\View\IceSheet::of($page->judged, $page->units))
@foreach (App\View\StationCautions::of($page->station, $page->findings->circuit) as $caution)<p
    class="caution station">◐ @told($caution)</p>@endforeach
@if ($sheet !== null)@include('visit.ice-sheet')@endif
@php($flakes = App\View\FlakeSheet::of($page->judged, $page->units))
@if ($flakes !== null)@include('visit.flake-sheet')@endif
<div class="cells row">@foreach ($page->controls->cells() as $cell)@include('visit.cell')@endforeach</div>
@php($goods = App\View\Goods\GoodsSheet::of($page->judged, $page->units))
@if ($goods !== null)@include('goods.fold')@endif
<div class="choices">@foreach ($page->controls->choices() as $choice)@include('visit.choice')@endforeach</div>
@if ($sheet === null)<details class="fold" id="course-fold">
    <summary>Course so far</summary>@include('visit.course')</details>@endif
<p class="actions"><a class="btn" href="{{ route('visits.show', [$page->visit,
    $page->station->next()->value]) }}">Next: {{ App\View\Explain::within($page->station->next()->labelAt(
    $page->findings->circuit)) }}</a></p>
