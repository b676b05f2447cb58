@include('visit.course')
@include('site.fold', ['site' => new App\View\Site\SiteFold($page->judged, $page->units)])
@if ($page->advice->permits->licenceAsked() !== null)@include('visit.licence')@endif
@unless ($page->verdict->blank)<p class="to-why"><a href="{{ route('visits.why', $page->visit) }}">Why this
    ranking</a></p>@endunless
<section class="suspects" aria-label="Top three">
    @foreach ($page->verdict->blank ? [] : $page->verdict->ranked(3) as $suspect)
        <article class="sheet">
            <header><h2>{{ $page->verdict->nameOf($suspect) }}</h2><span
                class="pct">{{ App\View\Explain::percent($suspect->probability) }}</span></header>
            @if ($suspect->cause !== null || ($suspect->grade !== null && $suspect->fault !==
                Metrum\Knowledge\Fault::NoFault))<p class="how-marked">{{ $page->explain->marked($suspect) }}</p>@endif
            <p>@told($suspect->entry()->mechanism) <span class="soft">Frequency: {{ $suspect->entry()->howOften }}.
                <a href="{{ route('handbook.show', ['fault' => $suspect->fault->value, 'circuit'
                => $page->visit->circuit_id]) }}">In the handbook</a></span></p>
            @include('visit.evidence', ['most' => 8])
            @if ($page->verdict->referral !== null)<p class="caution">◐
                {{ $page->verdict->referral }}</p>@elseif ($page->advice->permits->licenceAsked() === null)
            <details class="fold"><summary>Checks and repair</summary>
                @php($exclusions = $page->advice->permits->exclusions($suspect))
                @if ($exclusions !== [])<h3>Before recommending replacement</h3><ul
                    class="exclusions">@foreach ($exclusions as [$text, $done])<li>{{ $done
                    ? '○ done' : '◐ open' }}: {{ $text }}</li>@endforeach</ul>@endif
                <h3>Check</h3><ul>@foreach ($suspect->entry()->check as $line)<li>@told($line)</li>@endforeach</ul>
                <h3>Repair</h3><ul>@foreach ($page->advice->remedies($suspect) as $line)<li>@told($line)</li>@endforeach
                    </ul>
                <h3>Evidence that would support it</h3><p>{{ implode('; ', $suspect->entry()->speaksFor) }}.</p>
                <h3>Evidence that would rule against it</h3><p>{{ implode('; ', $suspect->entry()->speaksAgainst)
                    }}.</p>
            </details>
            @endif
            @include('visit.judge', ['where' => 'stage'])
        </article>
    @endforeach
    @if ($page->verdict->blank)<p class="empty">Nothing entered yet.</p>@endif
</section>
@foreach ($page->log->standing(Metrum\Log\FactKind::Confirmed, Metrum\Log\FactKind::RuledOut) as $fact)
    <x-entry :page="$page" :kind="$fact->kind->value" :key="$fact->content->key" stage="verdict"
        :says="'undone: '.$page->explain->fact($fact)" class="row-link"><span
        class="grow">{{ $page->explain->fact($fact) }}</span><button class="btn quiet" name="value"
            value="no">Undo</button></x-entry>
@endforeach
@if (count($page->verdict->checks) > 1)<section aria-labelledby="h-next"><h2 id="h-next">Other useful checks</h2>
    <div class="check-list">@foreach ($page->verdict->furtherChecks() as $check)@include('visit.next-check',
        ['heading' => 'Or'])@endforeach</div>
</section>@endif
@if ($page->verdict->referral !== null || $page->advice->permits->licenceAsked() !== null)@elseif ($whatIf !==
    null)@include('visit.what-if')@elseif (! $page->findings->circuit->makesBatches())<p
        class="hint">This circuit cannot be simulated as entered; see its page. The diagnosis uses design values
        and house rules.</p>@endif
<section aria-labelledby="h-tests"><h2 id="h-tests">Tests</h2>
    @foreach (App\View\StationCautions::of($page->station, $page->findings->circuit) as $caution)<p
        class="caution station">◐ @told($caution)</p>@endforeach
    <div class="choices">@foreach ($page->controls->choices() as $choice)@include('visit.choice')@endforeach</div>
</section>
