@php($note = $page->log->fact(Metrum\Log\FactKind::Note, Metrum\Log\Kinds\NoteWritten::SUMMARY))
@php($own = $note?->content->text('text') ?? '')
<section class="sheet" aria-labelledby="h-sum"><h2 id="h-sum">Owner summary</h2>
    <x-entry :page="$page" kind="note" key="summary" stage="leave" says="summary:">
        <label class="sr" for="summary">Summary</label>
        <textarea id="summary" name="value" rows="5" @disabled(! $page->mayEnter)>{{ old('value', $own !== '' ? $own
            : $page->ownerSummary()->text()) }}</textarea>
        <p class="actions"><button class="btn quiet" @disabled(!
            $page->mayEnter)>Save summary</button> @if ($own !== '')<button class="btn quiet" name="clear"
            value="1" form="clear-summary">Rewrite from findings</button>@endif</p>
    </x-entry>
    <x-entry :page="$page" kind="note" key="summary" value="" stage="leave" says="summary rewritten"
        id="clear-summary"></x-entry>
</section>
@include('site.fold', ['site' => new App\View\Site\SiteFold($page->judged, $page->units)])
<section class="sheet" aria-labelledby="h-fu"><h2 id="h-fu">Follow-up</h2>
    @foreach ($page->visit->followUps as $followUp)
        <div class="row-link"><span
            class="grow"><b>{{ $followUp->what }}</b>@if ($followUp->done_at)<small>done</small>@endif
            @include('today.terms')</span><span
            class="when">{{ $followUp->due_on->format('j M Y') }}</span><a class="btn quiet"
            href="{{ route('follow-ups.calendar', $followUp) }}">Calendar file</a></div>
    @endforeach
    <x-entry :page="$page" says="follow-up:" :action="route('follow-ups.store', $page->visit)" class="grid-fields"
        novalidate>
        <x-field name="what" label="What to do" :value="old('what',
            Illuminate\Support\Str::limit(ucfirst(implode('; ', $page->side()->unfinished())), 200))" />
        <x-field name="due_on" label="On" type="date" :value="old('due_on', now()->addWeeks(2)->format('Y-m-d'))" />
        <details class="fold"><summary>Reason, preparation, what to bring</summary>
        <x-field name="why" label="Reason" :value="old('why')" />
        <x-field name="condition" label="Or when" :value="old('condition')" />
        <x-field name="prepare" label="Customer prepares" :value="old('prepare')" />
        <x-field name="bring" label="Bring" :value="old('bring')" /></details>
        <p class="actions"><button class="btn quiet">Add follow-up</button></p>
    </x-entry>
</section>
@if ($page->findings->readings !== [])
<form class="row-link sheet" method="post" action="{{ route('visits.ran-well', $page->visit) }}">@csrf
    <span class="grow"><b>{{ $page->visit->ranWell() ? '○ Saved as reference: ran well'
        : 'Did it run well when you left?' }}</b><small>A “ran well” visit adjusts the twin to this system's readings;
            later visits are compared with it.</small></span>
    <button class="btn quiet" name="well" value="{{ $page->visit->ranWell() ? 0 : 1 }}">{{ $page->visit->ranWell()
        ? 'Remove' : 'Yes, it ran well' }}</button>
</form>
@endif
<section class="sheet" aria-labelledby="h-owner"><h2 id="h-owner">Choices for the owner</h2>
    <p class="actions"><a class="btn quiet" href="{{ route('visits.choices', $page->visit) }}">Offer and send</a></p>
</section>
<section class="sheet" aria-labelledby="h-out"><h2 id="h-out">Report and file</h2>
    <p class="actions"><a class="btn" href="{{ route('visits.report', $page->visit) }}">Report</a> <a
        class="btn quiet" href="{{ route('visits.pdf', $page->visit) }}">Report as PDF</a> <a class="btn quiet"
        href="{{ route('visits.file', $page->visit) }}" download>Visit file</a> <a class="btn quiet"
        href="{{ route('visits.handover', $page->visit) }}">Handover to a colleague</a> <a class="btn quiet"
        href="{{ route('visits.help-sheet', $page->visit) }}">Help sheet</a>
    <a class="btn quiet" href="{{ route('import', ['circuit' =>
        $page->visit->circuit_id]) }}">Import visit file</a></p>
    <p class="hint">Contains the result and the full log: readings, changes, procedures, notes and ruled-out faults.</p>
</section>
@if ($page->mayEnter)
@php($closing = $page->side()->closing())
@foreach ($page->side()->leaving->heldOpen() as [$touched, $part])
<x-entry :page="$page" kind="restored" :key="$touched" :part="$part" value="yes" stage="leave"
    :says="'left as is: '.$touched" class="sheet grid-fields">
    <x-field name="reason" :label="'● Not restored: '.Metrum\Log\Kinds\LeftOpen::said($touched).
        '. Reason for leaving as is'"
        :value="''" />
    <p class="actions"><button class="btn quiet">Leave as is</button></p></x-entry>
@endforeach
<form method="post" action="{{ route('visits.close', $page->visit) }}" data-close>@csrf
    @foreach ($closing->shut() as $one)<p
        class="hint">{{ $one->holding->mark()->sign() }} Open: @told($one->sentence()).</p>@endforeach
    @foreach ($page->side()->unfinished() as $why)<p class="hint">◐ Open: @told($why).</p>@endforeach
    <button class="btn" @disabled($page->side()->leaving->heldOpen() !== [])>Close visit</button>
</form>
@endif
