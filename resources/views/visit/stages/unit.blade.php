@foreach ($page->stationCautions() as $caution)<p class="caution station">◐ {{ $caution }}</p>@endforeach
@include('visit.course')
<div class="cells row">@foreach ($page->cells() as $cell)@include('visit.cell')@endforeach</div>
<div class="choices">@foreach ($page->choices() as $choice)@include('visit.choice')@endforeach</div>
<p class="actions"><a class="btn" href="{{ route('visits.show', [$page->visit, $page->station->next()->value]) }}">On: {{ lcfirst($page->station->next()->label()) }}</a></p>
