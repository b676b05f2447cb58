{{-- what stands at a station: the card that is open, else the station itself with its cards below --}}
<div id="stage" data-part>
@if ($page->openCard() !== null)
    @include('visit.card', ['open' => $page->openCard()])
@else
    @include('visit.stages.'.$page->station->value)
    @include('visit.cards')
@endif
</div>
