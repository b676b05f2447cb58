@if ($page->choices !== null)
    <h2>The owner's choices</h2>
    @foreach ($page->choices->cards as $card)
        <a class="row-link" href="{{ route('visits.choices', $card->choice->visit_id) }}"><span
            class="grow">{{ $card->choice->title }}@if ($card->decision !== null)<small><b>{{ $card->decision->words()
            }}</b></small>@endif</span><span class="when num">{{ $card->isFree() ? '' : $card->total }}</span></a>
    @endforeach
@endif
