@php($verdict = $page->verdict)
@php($first = $verdict->first())
@php($open = ! $verdict->leads())
<div id="verdict" class="verdict" data-part>
    <button class="pull" type="button" data-drawer aria-expanded="false" aria-controls="verdict-more"><span
        class="sr">Show full diagnosis</span></button>
    @if ($verdict->blank)
        <div class="lead"><h2>Nothing entered yet</h2></div>
        <p class="soft">Start with the complaint. The first ranking appears after one tap.</p>
    @else
        <div class="lead"><h2>{{ $open ? 'No clear cause yet' : $verdict->nameOf($first) }}</h2><span
            class="pct">{{ $open ? '' : App\View\Explain::percent($first->probability) }}</span></div>
        @if ($open)<p class="slim-next">Leading: {{ $verdict->nameOf($first) }}
            {{ App\View\Explain::percent($first->probability) }}</p>@else<x-bar
            :share="$first->probability" />@endif
        @if ($verdict->seen !== [])<p class="seen">● {{ App\View\Explain::seen($verdict->seen) }}</p>@endif
        @if ($verdict->nextCheck() !== null)<p class="slim-next"><b>Next:
            {{ App\View\Explain::within($verdict->nextCheck()->title()) }}</b>, {{ $verdict->nextCheck()->minutes }}
            min</p>@endif
    @endif
    @if ($verdict->cautions !== [])<p class="caution slim-caution">◐ {{ $verdict->cautions[0] }}</p>@endif
    @php($unfinished = $page->unfinished())
    @if ($unfinished > 0)<button class="plain slim-next unfinished-count" type="button" data-drawer>◐
        {{ $unfinished }} unfinished</button>@endif
    <div id="verdict-more" class="verdict-more">
        @if ($page->visit->isOfRack())<p class="soft">{{ ! $open && $first->fault->isShared() ?
            'This concerns the whole rack.' : 'Judged together with the whole rack.' }}
            <a href="{{ route('visits.board', $page->visit) }}">Rack board</a></p>@endif
        @if ($unfinished > 0)<div class="unfinished">@include('visit.unfinished')</div>@endif
        @unless ($verdict->blank)
            @if (count($page->judged->assessment->chapters->all) > 1)@include('visit.work-side')@endif
            @if (isset($answer) && $answer->changed() !== null)<p class="last-change">{{ $answer->changed() }}</p>@endif
            @if ($verdict->explained !== null && $verdict->explained->odd !== [])<p
                class="explained">{{ $page->explain->explained($verdict->explained) }}</p>@endif
            @if ($verdict->together !== null)<p class="together">◐ One fault does not explain everything. Possibly
                {{ App\View\Explain::within($verdict->together[0]->label()) }} and
                {{ App\View\Explain::within($verdict->together[1]->label()) }} together.</p>@endif
            @if ($verdict->odd() !== [])<p class="odd">○ Unusual, but normal here: {{ implode('; ', array_map(fn ($one)
                => App\View\Explain::within($page->explain->odd($one)),
                $verdict->odd())) }}.</p>@endif
            @if (! $verdict->settled->isOpen())<p class="provisional">◐ Provisional:
                @told(Metrum\Diagnosis\Gate::why($verdict->settled->shut())).</p>@endif
            @foreach ($verdict->contradictions as $contradiction)<p class="contradiction" role="note">●
                @told($contradiction->sentence())</p>@endforeach
            @if (! $open && ($first->cause !== null || $first->grade !== null)
                && $first->fault !== Metrum\Knowledge\Fault::NoFault)<p
                class="how-marked">{{ $page->explain->marked($first) }}</p>@endif
            @unless ($open || $page->station === Metrum\Knowledge\Station::Verdict)@include('visit.evidence',
                ['suspect' => $first, 'most' => 3])@endunless
            <p class="to-why"><a href="{{ route('visits.why', $page->visit) }}">Why</a> · <a
                href="{{ route('handbook.show', ['fault' => $first->fault->value, 'circuit'
                => $page->visit->circuit_id]) }}">{{ $verdict->nameOf($first) }} in the handbook</a> · <a
                href="{{ route('bench', ['calculator' => 'superheat',
                'visit' => $page->visit->id]) }}">Calculator</a> · <a
                href="{{ route('visits.compressor', $page->visit) }}">Compressor</a> · <a
                href="{{ route('trend', $page->visit) }}">Trend</a></p>
            @unless ($page->station === Metrum\Knowledge\Station::Verdict)
            <div class="others">
                @foreach ($page->others() as $suspect)
                    <details><summary><span>{{ $verdict->nameOf($suspect) }}</span><b>{{
                        App\View\Explain::percent($suspect->probability) }}</b></summary>@include('visit.evidence',
                        ['suspect' => $suspect, 'most' => 3])@include('visit.judge', ['suspect' => $suspect, 'where'
                        => 'panel'])</details>
                @endforeach
                <div class="rest"><span>All
                    others</span><b>{{ App\View\Explain::percent($page->verdict->shareBehind(3)) }}</b></div>
            </div>
            @endunless
            @if ($verdict->referral !== null)
                <p class="caution">◐ {{ $verdict->referral }}</p>
            @elseif ($verdict->nextCheck() !== null)
                @include('visit.next-check', ['check' => $verdict->nextCheck()])
                @if ($page->afterThat() !== [])
                    <p class="after-that">Then: @foreach ($page->afterThat() as $check)<a
                        href="{{ $page->linkTo($check) }}">{{ App\View\Explain::within($check->title()) }}</a>
                        ({{ $check->minutes }} min){{ $loop->last ? '.' : ', ' }}@endforeach</p>
                @endif
            @else
                <p class="soft">{{ $open ?
                    'The remaining checks would add little. '.
                    'Fix what is most certain, then see what changes.'
                    : 'No further check would add much. Verify and close out.' }}</p>
            @endif
            @unless ($open || $page->station === Metrum\Knowledge\Station::Verdict)@include('visit.judge', ['suspect'
                => $first, 'where' => 'panel'])@endunless
            @foreach ($page->findings->confirmed as $fault)<p class="settled-fact">● Confirmed:
                {{ App\View\Explain::within($fault->label()) }}. The ranking below covers what is left.</p>@endforeach
            @foreach ($verdict->doubtfulRulings as $fault)<p class="contradiction">◐ {{ $fault->label() }} was ruled
                out, but the readings still point to it.</p>@endforeach
        @endunless
        @foreach ($page->foremostCautions() as $caution)<p class="caution">◐ @told($caution)</p>@endforeach
    </div>
</div>
