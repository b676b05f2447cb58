<section class="sheet" aria-labelledby="h-proof"><h2 id="h-proof">Verification checklist</h2>
    <ul class="proofs">@foreach ($page->side()->proofs() as $proof)<li>{{ $proof->mark->sign() }}
        <b>@told($proof->label())</b> @told($proof->said())</li>@endforeach</ul>
</section>
@if ($page->work()->story->outcomes() !== [])
<section class="sheet done" aria-labelledby="h-done"><h2 id="h-done">Work done and effect</h2>
    <ol>@foreach (array_reverse($page->work()->story->outcomes()) as $sentence)<li>@told($sentence)</li>@endforeach</ol>
</section>
<section class="sheet" aria-labelledby="h-both"><h2 id="h-both">Before and after</h2>
    <table class="both"><tr><th>Figure</th><th>As found</th><th>Now</th><th>Change</th></tr>
        @foreach ($page->side()->beforeAndAfter() as $row)<tr><th
            scope="row">{{ $row[0] }}</th><td>{{ $row[1] }}</td><td>@if ($row[3] === '')<span
            class="soft">{{ $row[2] }}</span>@else<b>{{ $row[2] }}</b>@endif</td><td
            class="soft">{{ $row[3] }}</td></tr>@endforeach
    </table>
    @if ($page->side()->loadChange() !== '')<p>@told($page->side()->loadChange())</p>@endif
</section>
@else
<p class="empty">Nothing changed at this visit yet. Before-and-after values appear here.</p>
@endif
