@php($charge = $page->charging())
<section id="card" class="card-open" aria-labelledby="h-move" data-part>
    <header><h2 id="h-move">Charging{{ App\View\PartAddress::behind($work->part) }}</h2><span
        class="soft">{{ $page->findings->circuit->refrigerant }}{{ $charge->moved() === '' ? ''
        : ' · '.$charge->moved() }}{{ $charge->overPlate() === '' ? '' : ' · '.$charge->overPlate() }}</span></header>
    <p class="charge-says"><b>@told($charge->story->missing())</b>
        @if ($charge->story->knee() !== null) @told($charge->story->knee()) @endif
        @if ($charge->nextWords() !== '') <b>Next: {{ $charge->nextWords() }}.</b>@endif</p>
    @if ($charge->sizesAsked() !== [])<p class="hint">◐ Any of these would give the system size: {{ implode(', ',
        $charge->sizesAsked()) }}. <a href="{{ route('circuits.edit',
        $page->visit->circuit) }}">Enter it</a></p>@endif
    @if ($charge->picture(760.0) !== null)
        <figure class="strip-side"><x-picture.charge :picture="$charge->picture(760.0)" class="wide"
            /><x-picture.charge :picture="$charge->picture(390.0)" class="slim" />
        <details class="charge-table"><summary>Show as table</summary><table
            class="ledger"><thead><tr><th>Added</th><th>Superheat</th><th>Subcooling</th><th>Sight glass</th>
                <th>Receiver</th></tr></thead><tbody>@foreach ($charge->rows() as $row)<tr>@foreach ($row as $cell)
                <td>{{ $cell }}</td>@endforeach</tr>@endforeach</tbody></table></details></figure>
    @endif
    @if ($work->move->ofTaking() === [])
        @include('visit.preconditions', ['all' => $work->move->gates()])
    @else
        @include('visit.preconditions', ['all' => $work->move->ofTaking(), 'for' => 'Before recovering:'])
    @endif
    @if ($work->move->isTooSoon())<p class="hint">◐ Readings since the last addition are missing. Wait for the timer,
        then read. Adding faster than the system responds leads to overcharge.</p>@endif
    @if ($work->refusal() !== '')<p class="caution">● Not allowed: {{ $work->refusal() }}. No reason can override
        this.</p>@endif
    <div class="card-body">
        <x-entry :page="$page" kind="move" key="charge" :part="$work->part" says="refrigerant charge changed"
            id="move-charge" class="move charge">
            @include('visit.weighed', ['choice' => $charge->choice, 'typed' => $charge->typed(),
                'isHeldBack' => $work->move->isHeldBack()])
            <button class="btn" @disabled(! $page->mayEnter)>Save and start timer</button>
        </x-entry>
        @if ($work->foretold() !== [])
            <table class="foretold"><caption>Predicted: {{ $charge->nextWords() }}</caption>@foreach ($work->foretold()
                as $row)<tr><th
                scope="row">{{ $row[0] }}</th><td>{{ $row[1] }} →</td><td><b>{{ $row[2] }}</b></td><td
                class="soft">{{ $row[3] }}</td></tr>@endforeach</table>
        @endif
    </div>
    @foreach ($charge->warnings() as $warning)<p class="hint">◐ {{ ucfirst($warning) }}</p>@endforeach
    <p class="hint">{{ $charge->leavesAs() }} {{ $charge->hoses() }} Recover into a cylinder; never vent. A
        low-pressure stop while charging is normal: see <a
        href="{{ $charge->stops()[1] }}">{{ Illuminate\Support\Str::lcfirst($charge->stops()[0]) }}</a>.</p>
    @foreach ($work->cautions() as $caution)<p class="caution">◐ @told($caution)</p>@endforeach
    <h3>Other charging methods</h3>
    <ul class="schools">@foreach ($charge->schools() as $school)<li @class(['is-taken'
        => $school['isTaken']])>{{ $school['isTaken'] ? '○' : ($school['fits'] ? '◐' : '●') }} <a
        href="{{ $school['link'] }}">{{ $school['name'] }}</a><small>{{ $school['why'] }}</small></li>@endforeach</ul>
    <p>@if ($charge->around->floods())<a href="{{ route('circuits.winter', $page->visit->circuit) }}">Winter
        charge</a> · @endif<a href="{{ route('circuits.ledger', $page->visit->circuit) }}">Refrigerant ledger</a></p>
    <p class="card-foot">@if ($work->response() !== null)<b>@told($work->response())</b>@endif</p>
</section>
