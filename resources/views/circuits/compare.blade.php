@php($circuit = $compared->circuit)
<x-layout title="Compare visits">
    <x-slot:where><a href="{{ route('circuits.show', $circuit) }}">{{ $circuit->name }}</a> / <b>Compare
        visits</b></x-slot:where>
    <main id="main" class="page compared">
        <h1>What changed</h1>
        <form method="get" action="{{ route('circuits.compare', $circuit) }}" class="compare-choice">
            @foreach (['from' => $compared->from, 'to' => $compared->to] as $name => $chosen)
                <label>{{ $name === 'from' ? 'From' : 'To' }} <select name="{{ $name }}">@foreach ($compared->visits
                    as $visit)<option value="{{ $visit->id }}" @selected($visit->id === $chosen?->id)>
                    {{ $visit->opened_at->format('j M Y H:i') }}{{ $visit->ranWell() ? ' · ran well'
                    : '' }}</option>@endforeach</select></label>
            @endforeach
            <button class="btn">Compare</button>
        </form>
        @if ($compared->from === null || $compared->to === null || $compared->from->is($compared->to))
            <p class="empty">Two different visits are needed. This circuit has
                {{ $compared->visits->count() === 1 ? 'one' : $compared->visits->count() }} so far.</p>
        @else
            <section aria-labelledby="h-moves">
                <h2 id="h-moves">Settings and repairs</h2>
                @if ($compared->moves() === [])<p class="empty">Nothing was adjusted or repaired.</p>@endif
                <dl class="facts">@foreach ($compared->moves() as [$day, $said])<div><dt>{{ $day }}</dt><dd>
                    {{ $said }}</dd></div>@endforeach</dl>
            </section>
            <section aria-labelledby="h-system">
                <h2 id="h-system">System</h2>
                @if ($compared->system() === [])<p class="empty">Description unchanged.</p>@else
                <table class="pairs"><thead><tr><th scope="col">What</th><th scope="col">Was</th><th
                    scope="col">Is</th></tr></thead><tbody>@foreach ($compared->system() as $row)<tr><th
                    scope="row">{{ $row['name'] }}</th><td>{{ $row['was'] }}</td><td>{{ $row['is']
                    }}</td></tr>@endforeach</tbody></table>@endif
            </section>
            @if ($compared->photos($compared->from) !== [] || $compared->photos($compared->to) !== [])
                <section aria-labelledby="h-photos">
                    <h2 id="h-photos">Photos</h2>
                    <div class="record-first">@foreach ([$compared->from, $compared->to] as $visit)<div>
                        <p class="soft">{{ $visit->opened_at->format('j M Y') }}</p>
                        <div class="attachments">@forelse ($compared->photos($visit) as $one)<x-attachment
                            :one="$one" />@empty<p class="empty">None.</p>@endforelse</div></div>@endforeach</div>
                </section>
            @endif
            <section aria-labelledby="h-figures">
                <h2 id="h-figures">Figures and readings</h2>
                <table class="pairs"><thead><tr><th scope="col">Reading</th><th
                    scope="col">{{ $compared->from->opened_at->format('j M Y') }}</th><th
                    scope="col">{{ $compared->to->opened_at->format('j M Y') }}</th><th
                    scope="col">Change</th></tr></thead>
                    <tbody>@foreach ($compared->figures() as $row)<tr><th scope="row">{{ $row['name'] }}</th><td
                        class="num">{{ $row['was'] }}</td><td class="num">{{ $row['is'] }}</td><td
                        class="num">{{ $row['change'] }}</td></tr>@endforeach</tbody></table>
            </section>
        @endif
    </main>
</x-layout>
