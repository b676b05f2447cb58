@php($list = $page->cards())
@php($cards = $page->verdict->referral !== null ? [] : $list->at($page->station))
@if ($cards !== [] && ! ($page->station === Metrum\Circuit\Station::PutRight && $page->advice->licenceAsked() !== null))
<section class="cards-here" aria-labelledby="h-cards"><h2 id="h-cards">Step by step</h2>
    <ul>@foreach ($cards as $card)
        <li><a href="{{ App\View\CardList::link($page->visit, $card) }}"><b>{{ $card->name }}</b><small>{{ $card->does->label() }}, {{ $card->minutes }} min, {{ $card->effort->label() }}@if ($list->asked($card) >= 0.2) · for what is suspected, {{ App\View\Explain::percent($list->asked($card)) }}@endif</small></a></li>
    @endforeach</ul>
</section>
@endif
