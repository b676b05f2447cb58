<x-layout :title="$page->entry->name">
    <x-slot:where><a href="{{ route('handbook') }}">Handbook</a> / <b>{{ $page->entry->name }}</b></x-slot:where>
    <main id="main" class="page handbook">
        <h1>{{ $page->entry->name }}</h1>
        <p>@told($page->entry->mechanism) <span class="soft">Frequency: {{ $page->entry->howOften }}.</span></p>
        @foreach ($page->cautions() as $caution)<p class="caution">◐ @told($caution)</p>@endforeach
        @if ($page->changes() !== [] || $page->stops() !== null)
        <section class="sheet" aria-labelledby="h-course">
            <h2 id="h-course">Course: healthy and with this fault</h2>
            <nav class="grades" aria-label="Severity">@foreach (Metrum\Diagnosis\Grade::cases() as $grade)<a
                class="chip" href="{{ route('handbook.show', array_filter(['fault' => $page->fault->value, 'grade'
                => $grade->value, 'circuit' => $circuit?->id])) }}" @if ($grade === $page->grade) aria-current="true"
                @endif>{{ ucfirst($grade->value) }}</a>@endforeach <span class="soft">{{ $circuit === null
                ? 'Sample system: '.lcfirst($page->plant()) : $circuit->name.', '.$page->plant() }}</span></nav>
            @if ($page->stops() !== null)<p>◐ At this severity the system stops: {{ $page->stops() }}.</p>
            @elseif ($page->course() !== null)
                <div class="course-box"><div class="course-wide"><x-picture.course :course="$page->course()"
                    name="wide" /></div><div class="course-slim"><x-picture.course :course="$page->phoneCourse()"
                    name="slim" /></div></div>
            @endif
            <div class="scrolls" tabindex="0" role="region"
                aria-label="Effect on readings"><table><caption>Effect on readings</caption><thead><tr><th
                    scope="col">Figure</th><th scope="col">Healthy</th><th
                scope="col">Slight</th><th scope="col">Moderate</th><th scope="col">Severe</th></tr></thead>
                <tbody>@foreach ($page->changes() as $row)<tr><th
                    scope="row">{{ $row['name'] }}</th><td>{{ $row['sound'] }}</td><td>{{ $row['mild'] }}</td>
                        <td>{{ $row['moderate'] }}</td><td>{{ $row['severe'] }}</td></tr>@endforeach</tbody>
                        </table></div>
        </section>
        @else
            <p class="soft">No effect on steady readings; it shows over time, at the controls and in the box.</p>
        @endif
        <div class="handbook-columns">
            <section class="sheet"><h2>Evidence for</h2>
                <ul>@foreach ($page->entry->speaksFor as $line)<li>@told($line)</li>@endforeach</ul>
                <h2>Evidence against</h2>
                <ul>@foreach ($page->entry->speaksAgainst as $line)<li>@told($line)</li>@endforeach</ul></section>
            <section class="sheet"><h2>Check</h2><ul>@foreach ($page->entry->check as $line)<li>@told($line)</li>
                @endforeach</ul><h2>Repair</h2><ul>@foreach ($page->entry->do as $line)<li>@told($line)</li>@endforeach
                </ul></section>
            @if ($page->entry->causes !== [])<section class="sheet"><h2>Possible
                causes</h2><ul>@foreach ($page->entry->causes as $cause)<li>@told(ucfirst($cause->name)) <span
                class="soft">{{ App\View\Explain::percent($cause->share) }}</span></li>@endforeach</ul></section>@endif
            <section class="sheet"><h2>Similar faults</h2><dl
                class="alike">@foreach ($page->lookAlikes() as $other)<dt><a href="{{ route('handbook.show',
                array_filter(['fault' => $other['entry']->fault->value, 'circuit'
                => $circuit?->id])) }}">{{ $other['entry']->name }}</a></dt><dd>{{ $other['by'] === []
                ? 'Hard to distinguish.' : 'Distinguish by: '.lcfirst(implode('; ',
                $other['by'])).'.' }}</dd>@endforeach</dl></section>
        </div>
    </main>
</x-layout>
