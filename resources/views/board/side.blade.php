<div id="board-side" class="verdict" data-part>
    @if ($page->isBeforeChange())<p class="provisional">◐ Before the last change. Re-read level, header and head
        pressure.</p>@endif
    @php([$level, $expected] = $page->said->level())
    <h2 class="board-level">Receiver level <b @class(['low' => $page->said->isLevelLow()])>{{ $level }}</b></h2>
    @if ($expected !== '')<p>@told($expected)</p>@endif
    @php([$picture, $noAnswer] = [$page->level(), $page->noAnswer()])
    @if ($picture !== null)<x-picture.level :level="$picture" />@endif
    @if ($noAnswer !== '')<p class="contradiction">● @told($noAnswer)</p>@endif
    @foreach ($page->contradictions() as $contradiction)<p class="contradiction" role="note">●
        @told($contradiction)</p>@endforeach
    @if ($page->verdict === null)
        <p class="caution">◐ No such system can be simulated with this refrigerant. Circuits are judged one by one.</p>
    @elseif ($page->isBlank())
        <div class="lead"><h2>Nothing entered yet</h2></div>
        <p class="soft">Start with the suction header, the receiver level and the case temperatures.</p>
    @else
        <div class="lead"><h2>{{ $page->held->lead() }}</h2><span class="pct">{{ $page->held->leads()
            ? $page->percent($page->held->suspects()[0][1]) : '' }}</span></div>
        @if ($page->held->leads())<x-bar :share="$page->held->suspects()[0][1]" />@endif
        <ul class="board-evidence">@foreach ($page->held->evidence() as $line)<li><small>{{ $line['side'] }}</small>
            @told($line['said'])</li>@endforeach</ul>
        <div class="others">@foreach ($page->held->others() as [$name, $chance])
            <div class="rest"><span>{{ $name }}</span><b>{{ $page->percent($chance) }}</b></div>@endforeach</div>
        @php([$check, $after] = $page->held->checks())
        @if ($check !== null)
            <div class="next" role="group" aria-label="Next check">
                <h3>Next check: {{ $page->held->placeOf($check) }}, {{ App\View\Explain::within($check->asked->label())
                    }}</h3>
                <p>@told($check->asked->taking()->how) <span class="soft">{{ $check->minutes }} min.</span></p>
                @php($outcomes = $page->held->outcomes($check))
                @if ($outcomes !== [])<dl>@foreach ($outcomes as $outcome)
                    <div><dt>{{ $outcome['answer'] }}</dt><dd>{{ $outcome['leads'] }}</dd></div>
                @endforeach</dl>@endif
            </div>
            @if ($after !== [])<p class="after-that">Then:
                @foreach ($after as $check){{ $page->held->placeOf($check) }},
                {{ App\View\Explain::within($check->asked->label()) }} ({{ $check->minutes }} min){{ $loop->last
                ? '.' : '; ' }}@endforeach</p>@endif
        @endif
    @endif
    @foreach ($page->held->cautions() as $caution)<p class="caution">◐ @told($caution)</p>@endforeach
    <p class="to-why"><a href="{{ route('visits.report', $page->visit) }}">Report</a> ·
        <a href="{{ route('defrost.show', $page->visit->circuit->plant) }}">Defrost schedule</a> ·
        <a href="{{ route('trend', $page->visit) }}">Trend</a></p>
</div>
