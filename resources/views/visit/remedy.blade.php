{{-- where no move stands open: the card of work that the leading suspect asks for, or what comes first --}}
@php($card = $work->remedyCard())
<section class="card-open" aria-labelledby="h-remedy">
@if ($card !== null && $page->verdict->leads())
    <header><h2 id="h-remedy">{{ $card->name }}</h2><span class="soft">{{ $card->minutes }} min,
        {{ $card->effort->label() }}</span></header>
    <p class="card-why">{{ $page->verdict->nameOf($page->verdict->first()) }},
        {{ App\View\Explain::percent($page->verdict->first()->probability) }}:
        {{ Illuminate\Support\Str::lcfirst($card->why) }}</p>
    <p><a class="btn" href="{{ App\View\CardList::link($page->visit, $card) }}">Open</a></p>
@else
    <header><h2 id="h-remedy">{{ $page->verdict->leads() ? $page->verdict->nameOf($page->verdict->first())
        : 'Check first' }}</h2></header>
    <ul>@foreach ($work->instead() as $line)<li>@told($line)</li>@endforeach</ul>
    @unless ($page->verdict->leads())<p><a class="btn" href="{{ route('visits.show', [$page->visit,
        $page->verdict->blank ? 'complaint' : 'verdict']) }}">{{ $page->verdict->blank ? 'Start with the complaint' :
            'Useful checks' }}</a></p>@endunless
@endif
</section>
