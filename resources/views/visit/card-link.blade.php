<li><a href="{{ App\View\CardList::link($page->visit,
    $card) }}"><b>{{ $card->name }}</b><small>{{ $card->does->label() }}, {{ $card->minutes }} min,
    {{ $card->effort->label() }}@if ($list->asked($card) >= 0.2) · for what is suspected,
    {{ App\View\Explain::percent($list->asked($card)) }}@endif</small></a></li>
