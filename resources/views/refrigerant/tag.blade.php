<x-layout title="Tag for {{ $circuit->name }}">
    <x-slot:where><a href="{{ route('circuits.show', $circuit) }}">{{ $circuit->name }}</a> / <b>Tag for the
        receiver</b></x-slot:where>
    <main id="main" class="narrow">
        <div class="page-head no-print"><h1>Tag for the receiver</h1><button class="btn" type="button"
            data-print>Print it</button></div>
        @if ($marks === [])
            <p class="empty">No mark yet. The card “Level of the receiver” makes one at a visit: per cent, date and
                initials.</p>
        @else
            @php([$at, $level, $who] = $marks[0])
            <section class="tag" aria-label="Tag">
                <p class="tag-name">{{ $circuit->site->name }}<br><b>{{ $circuit->name }}</b></p>
                <p class="tag-level">{{ App\View\Explain::percent($level) }}</p>
                <p>Level of the receiver on {{ $at->format('j F Y') }}, {{ App\Records\LevelMarks::initials($who) }}</p>
                <p>{{ $circuit->refrigerant() }}@if ($plate !== null), plate {{ $plate }}@endif. Never over
                    {{ App\View\Explain::percent($limit) }}, pumped down.</p>
                @if ($level > $limit)<p class="tag-over">● Over the limit as it runs: it cannot take a pump-down.
                    Nothing is added; find out why.</p>@endif
            </section>
            <table class="ledger no-print"><thead><tr><th>When</th><th
                class="num">Level</th><th>Who</th></tr></thead><tbody>@foreach ($marks as [$at, $level, $who])<tr>
                    <td>{{ $at->format('j M Y') }}</td><td
                    class="num">{{ App\View\Explain::percent($level) }}</td>
                    <td>{{ $who }}</td></tr>@endforeach</tbody></table>
        @endif
    </main>
</x-layout>
