@php($page = $report->page)
@php($course = $report->course)
<p class="summary">{{ $report->summary() }}</p>
@if ($print)
    @unless ($course->isBlank())<img class="course-img" src="{{ $report->courseImage() }}" alt="Course of the circuit">@endunless
@else
    <div class="course-box"><x-picture.course :course="$course" name="report" /></div>
@endif
@unless ($page->verdict->blank)
<h2>Verdict</h2>
<table><thead><tr><th>What</th><th>Probability</th><th>Why</th></tr></thead><tbody>
    @foreach ($page->verdict->ranked(3) as $suspect)
        <tr><th scope="row">{{ $page->verdict->nameOf($suspect) }}</th><td class="num">{{ App\View\Explain::percent($suspect->probability) }}</td><td>@foreach (array_slice($suspect->speaksFor, 0, $print && ! $loop->first ? 1 : 3) as [$piece, $weight]){{ $page->explain->evidence($piece) }}.<br>@endforeach @foreach (array_slice($suspect->speaksAgainst, 0, 1) as [$piece, $weight])Against: {{ App\View\Explain::within($page->explain->evidence($piece)) }}.<br>@endforeach</td></tr>
    @endforeach
</tbody></table>
@if (! $page->verdict->settled->isOpen())<p>◐ Provisional: {{ implode('; ', $page->verdict->settled->reasons()) }}.</p>@endif
@foreach ($page->findings->confirmed as $fault)<p>● Confirmed: {{ $fault->label() }}.</p>@endforeach
@foreach ($report->ruledOut() as $line)<p>○ {{ $line }}.</p>@endforeach
@foreach ($page->verdict->contradictions as $contradiction)<p>◐ {{ $contradiction->sentence() }}</p>@endforeach
<div class="keep"><h2>What is to be done</h2>
<ul>@foreach ($report->remedies() as $line)<li>{{ $line }}</li>@endforeach</ul></div>
@endunless
@if ($report->cards() !== [])
<div class="keep"><h2>What was tested and looked at</h2><ul>@foreach ($report->cards() as $line)<li>{{ $line }}</li>@endforeach</ul></div>
@endif
@if ($report->done() !== [])
<div class="keep"><h2>What was done, and what came of it</h2>
<ul>@foreach ($report->done() as $line)<li>{{ $line }}</li>@endforeach</ul>
@if ($report->controls() !== [])<h3>Controls, as found and as left</h3><ul>@foreach ($report->controls() as $line)<li>{{ $line }}</li>@endforeach</ul>@endif
<table><thead><tr><th>Figure</th><th>As found</th><th>As left</th><th>Change</th></tr></thead><tbody>
    @foreach ($page->side()->beforeAndAfter() as $row)<tr><th scope="row">{{ $row[0] }}</th><td class="num">{{ $row[1] }}</td><td class="num">{{ $row[2] }}</td><td class="num">{{ $row[3] }}</td></tr>@endforeach
</tbody></table></div>
@endif
@if ($report->moved() !== '')<p><b>Refrigerant {{ $page->findings->circuit->refrigerant }}:</b> {{ $report->moved() }}.</p>@endif
@foreach ($report->touched() as $line)<p>◐ {{ $line }}.</p>@endforeach
@if ($report->visit->followUps->isNotEmpty())
<h2>Follow-up</h2>
<ul>@foreach ($report->visit->followUps as $followUp)<li>{{ $followUp->due_on->format('j F Y') }}: {{ $followUp->what }}@if ($followUp->done_at) (done)@endif</li>@endforeach</ul>
@endif
@if ($course->gaps !== [])
<div class="keep"><h2>Judged gaps</h2>
<table><thead><tr><th>Gap</th><th>Measured</th><th>Should be</th><th>By</th><th>Adjust to</th></tr></thead><tbody>
    @foreach ($course->gaps as $gap)<tr><th scope="row">{{ $gap->mark->sign() }} {{ ucfirst($gap->name->value) }}</th><td class="num">{{ $page->units->text($gap->value, $gap->quantity) }}</td><td class="num">{{ $page->units->span($gap->band->low, $gap->band->high, $gap->quantity) }}</td><td>{{ $gap->band->source }}</td><td>{{ $gap->wanted($page->units) }}</td></tr>@endforeach
</tbody></table></div>
@endif
@if ($report->readings() !== [])
<div class="keep"><h2>Readings</h2>
<table><thead><tr><th>What</th><th>Value</th><th>Where</th></tr></thead><tbody>
    @foreach ($report->readings() as $row)<tr><th scope="row">{{ $row['name'] }}</th><td class="num">{{ $row['value'] }}</td><td>{{ $row['place'] }}</td></tr>@endforeach
</tbody></table></div>
@endif
@if ($report->seen() !== [])
<div class="keep"><h2>Seen and tested</h2>
<table><tbody>@foreach (array_chunk($report->seen(), 2) as $pair)<tr>@foreach ($pair as $row)<th scope="row">{{ $row['name'] }}</th><td>{{ $row['value'] }}</td>@endforeach @if (count($pair) === 1)<td></td><td></td>@endif</tr>@endforeach</tbody></table></div>
@endif
@if ($report->notes() !== [])
<h2>Notes</h2>
<ul>@foreach ($report->notes() as $note)<li>{{ $note->takenAt->format('H:i') }} {{ $page->explain->fact($note) }}</li>@endforeach</ul>
@endif
@if ($report->plate() !== [])<p><b>Plate and design:</b> {{ implode('; ', $report->plate()) }}.</p>@endif
<h2>How it was judged</h2>
<p>Gauge pressures were turned absolute with the site's atmosphere of {{ $report->atmosphere() }}; saturation from property tables of {{ $report->refrigerant() }}; superheat from dew, subcooling from bubble, coil and condenser at {{ $report->visit->rules()->judgesAtMidGlide() ? 'the middle of the glide' : 'dew and bubble' }}. Each band stands above with the design value or house rule that gave it; {{ $report->ownRules() }}</p>
<p>Licensed practice, the equipment's plate and its maker's instructions and local codes go before anything said here.</p>
