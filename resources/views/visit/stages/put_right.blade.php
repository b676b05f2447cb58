@php($work = $page->work())
@php($strip = $work->strip(760.0))
@php($figure = $work->move->figure())
@php($label = $figure === null ? '' : $figure->label().', '.$page->units->symbol($figure->quantity()))
@php($isDrawn = $work->move->isOpen && $strip !== null && ! $strip->isEmpty())
@if ($isDrawn && $work->control !== Metrum\Knowledge\Control::Charge)
    <figure class="strip-side">
        <x-picture.strip :strip="$strip" :label="$label" class="wide" />
        <x-picture.strip :strip="$work->strip(390.0)" :label="$label" class="slim" />
        <table class="sr"><caption>{{ $work->move->figure()->label() }} after each
            change</caption><tr><th>Change</th><th>Time</th><th>Reading</th></tr>@foreach ($strip->rows() as $row)<tr>
                <td>{{ $row[0] }}</td><td>{{ $row[1] }}</td><td>{{ $row[2] }}</td></tr>@endforeach</table>
    </figure>
@endif
@if ($page->work()->story->toRead() !== [])
    <section aria-labelledby="h-again"><h2 id="h-again">Readings to repeat</h2>
        <div class="cells row">@foreach ($page->controls->cellsAgain() as $cell)@include('visit.cell')@endforeach</div>
    </section>
@endif
@if ($page->verdict->referral !== null)
    <p class="caution">◐ {{ $page->verdict->referral }}</p>
@else
    @if (! $work->move->isOpen)
        @include('visit.remedy')
    @elseif ($page->advice->permits->isLocked($work->control))
        @include('visit.licence')
    @else
        @include($page->workView(), ['work'
            => $page->moveOf(null)])
    @endif
    <nav class="cards-below" aria-label="Other work on this system">
        @foreach ($work->others() as $group => $controls)@if ($controls !== [])<div
            class="cards-group"><b>{{ $group }}</b><span>@foreach ($controls as $control)<a
            href="{{ route('visits.show', [$page->visit, 'put_right', 'card'
            => $control->value]) }}">{{ $control->label() }}</a>@endforeach</span></div>@endif @endforeach
    </nav>
@endif
