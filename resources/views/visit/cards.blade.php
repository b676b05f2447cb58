@php($list = $page->cards())
@php($groups = $page->verdict->referral !== null ? [] : $list->groups($page->station))
@if ($groups !== [])
<section class="cards-here card-groups" aria-labelledby="h-cards"><h2 id="h-cards">Procedures</h2>
    @foreach ($groups as $name => $cards)
        @if ($name === '')
            <ul>@foreach ($cards as $card)@include('visit.card-link')@endforeach</ul>
        @else
            <details><summary>{{ $name }} <span
                class="soft">{{ count($cards) }}</span></summary><ul>
                    @foreach ($cards as $card)@include('visit.card-link')@endforeach</ul></details>
        @endif
    @endforeach
</section>
@endif
