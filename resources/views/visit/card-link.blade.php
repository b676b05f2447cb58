@php($asked = $page->shelf->asked($card))
<li><a href="{{ App\View\CardList::link($page->visit,
    $card) }}"><b>{{ $card->name }}</b><small>{{ $card->does->label() }}, {{ $card->minutes }} min,
    {{ $card->effort->label() }}@if ($asked >= 0.2) · for the suspected fault, {{ App\View\Explain::percent($asked)
        }}@endif</small></a></li>
