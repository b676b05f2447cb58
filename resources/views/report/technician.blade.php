{{-- page two: the technician's --}}
<div class="page-two {{ count($report->done()) > 2 ? 'dense' : '' }}">
@if ($report->board !== null)@include('report.rack')@endif
@unless ($report->asFound->blank)
<h2>Diagnosis{{ $report->board === null ? '' : ' of '.$report->visit->circuit->name.' judged with the rack'
    }}{{ $report->isMoved() ? ', as found and as left' : '' }}</h2>
@include('report.verdict', ['verdict' => $report->asFound, 'when' => $report->isMoved() ? 'As found' : ''])
@if ($report->isMoved())@include('report.verdict', ['verdict' => $page->verdict, 'when' => 'As left'])@endif
@if (! $page->verdict->settled->isOpen())<p>◐ Provisional: @told(
    Metrum\Diagnosis\Gate::why($page->verdict->settled->shut())).</p>@endif
@endunless
@foreach ($page->log->standing(Metrum\Log\FactKind::Confirmed) as $fact)<p>●
    {{ $page->explain->fact($fact) }}.</p>@endforeach
@foreach ($report->ruledOut() as $line)<p>○ {{ $line }}.</p>@endforeach
@foreach ($page->verdict->contradictions as $contradiction)<p>◐ @told($contradiction->sentence())</p>@endforeach
@foreach ($report->trips() as $line)<p>● {{ $line }}.</p>@endforeach
@php($replacement = App\View\Compressor\ReplacementLine::of($page->verdict, $page->findings, $page->log))
@if ($replacement !== '')<p>◐ {{ $replacement }}</p>@endif
@if ($report->done() !== [])
<h2>Work done and effect</h2>
<ol>@foreach ($report->done() as $line)<li>{{ $line }}</li>@endforeach</ol>
<table class="pairs"><thead><tr>@for ($i = 0; $i < 2; $i++)<th>Figure</th><th>As found → as
    left</th><th>Change</th>@endfor</tr></thead><tbody>
    @foreach (array_chunk($page->side()->beforeAndAfter(), 2) as $pair)<tr>@foreach ($pair as $row)<th
        scope="row">{{ $row[0] }}</th><td class="num">{{ $row[1] }} → {{ $row[2] }}</td><td
        class="num">{{ $row[3] }}</td>@endforeach @if (count($pair) === 1)<td class="filler"></td><td
        class="filler"></td><td class="filler"></td>@endif</tr>@endforeach
</tbody></table>
@if ($page->side()->loadChange() !== '')<p>{{ $page->side()->loadChange() }}</p>@endif
@endif
@if ($report->cards() !== [])
<h2>Tests and procedures</h2>
<ul>@foreach ($report->cards() as $line)<li>@told($line)</li>@endforeach</ul>
@endif
@php($remedies = $page->verdict->blank ? [] : $report->remedies())
@if ($remedies !== [] || $report->open() !== [])
<h2>Still to be done</h2>
<ul>@foreach ([...$report->open(), ...$remedies] as $line)<li>@told($line)</li>@endforeach</ul>
@endif
@if ($report->controls() !== [])<p><b>Control settings, as found and as left:</b>
    {{ implode(' ', $report->controls()) }}</p>@endif
@if ($report->moved() !== '')<p><b>Refrigerant {{ $page->findings->circuit->refrigerant }}:</b>
    {{ $report->moved() }}.</p>@endif
@foreach ($report->touched() as $line)<p>◐ {{ $line }}.</p>@endforeach
@if ($course->gaps !== [])
<h2>Key figures{{ $report->isMoved() ? ', as left' : '' }}</h2>
<table><thead><tr><th>Key figure</th><th>Measured</th><th>Expected</th><th>Target</th></tr></thead><tbody>
    @foreach ($course->gaps as $gap)<tr><th scope="row">{{ $gap->mark->sign() }}
        {{ ucfirst($gap->name->value) }}</th><td class="num">{{ $page->units->text($gap->value,
        $gap->quantity) }}</td><td>{{ $page->units->span($gap->band->low, $gap->band->high, $gap->quantity) }},
        {{ $gap->band->source }}</td><td>{{ $gap->wanted($page->units) }}</td></tr>@endforeach
</tbody></table>
@endif
@if ($report->found->readings() !== [])
<h2>Readings{{ $report->isMoved() ? ', as left' : '' }}</h2>
<table class="pairs two"><tbody>@foreach (array_chunk($report->found->readings(), 3) as $row)<tr>
    @foreach ($row as $one)<th
    scope="row">{{ $one['name'] }}</th><td class="num">{{ $one['value'] }}</td>@endforeach
    @for ($i = count($row); $i < 3; $i++)<td class="filler"></td><td
    class="filler"></td>@endfor</tr>@endforeach</tbody></table>
@endif
@if ($report->found->seen() !== [])
<h2>Observations and tests</h2>
<p>@foreach ($report->found->seen() as $row)<b>{{ $row['name'] }}:</b> {{ $row['value'] }}{{ $loop->last ? '.'
    : '; ' }}@endforeach</p>
@endif
@if ($report->notes() !== [])
<h2>Notes</h2>
<ul>@foreach ($report->notes() as $note)<li>{{ $note->takenAt->format('H:i') }}
    {{ $page->explain->fact($note) }}</li>@endforeach</ul>
@endif
@if ($report->basis->plate() !== [])<p><b>Nameplate and design:</b> {{ implode('; ', $report->basis->plate())
    }}.</p>@endif
<p class="soft"><b>How this was calculated:</b> gauge pressures converted to absolute with the site's atmospheric
    pressure of
    {{ $report->basis->atmosphere() }}; saturation from the property tables of {{ $report->basis->refrigerant() }};
    superheat from dew, subcooling from bubble, coil and condenser at {{ $report->visit->rules()->judgesAtMidGlide()
    ? 'mean temperature of the glide' : 'dew and bubble' }}; {{ $report->basis->ownRules() }} Licensed practice, the
        nameplate, the manufacturer's instructions and local codes take precedence over this report.</p>
</div>
