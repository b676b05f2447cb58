<div class="gauge-bench">
    @include('visit.course')
    <div class="cells grid">@foreach ($page->controls->cells() as $cell)@include('visit.cell')@endforeach</div>
</div>
<div class="folds">
<details class="fold"><summary>More readings</summary><div
    class="cells row">@foreach ($page->controls->moreCells() as $cell)@include('visit.cell')@endforeach</div></details>
@include('visit.table')
<details class="fold"><summary>Before connecting hoses</summary>
        @foreach (App\View\StationCautions::of($page->station, $page->findings->circuit) as $caution)<p
    class="caution">◐ @told($caution)</p>@endforeach</details>
</div>
