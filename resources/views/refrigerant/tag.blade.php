<x-layout title="Receiver tag, {{ $circuit->name }}">
    <x-slot:where><a href="{{ route('circuits.show', $circuit) }}">{{ $circuit->name }}</a> / <b>Receiver
        tag</b></x-slot:where>
    <main id="main" class="narrow">
        <div class="page-head no-print"><h1>Receiver tag</h1><button class="btn" type="button"
            data-print>Print</button></div>
        @if ($marks === [])
            <p class="empty">No level on record. Use the procedure “Receiver level” at a visit.</p>
        @else
            @php([$at, $level, $who] = $marks[0])
            <section class="tag" aria-label="Tag">
                <p class="tag-name">{{ $circuit->site->name }}<br><b>{{ $circuit->name }}</b></p>
                <p class="tag-level">{{ App\View\Explain::percent($level) }}</p>
                <p>Receiver level on {{ $at->format('j F Y') }}, {{ App\Records\LevelMarks::initials($who) }}</p>
                <p>{{ $circuit->refrigerant() }}@if ($plate !== null), nameplate charge {{ $plate }}@endif. Never above
                    {{ App\View\Explain::percent($limit) }} when pumped down.</p>
                @if ($level > $limit)<p class="tag-over">● Over the limit while running: never pump it down. Do not add
                    any; find the cause.</p>@endif
            </section>
            <table class="ledger no-print"><thead><tr><th>When</th><th
                class="num">Level</th><th>Who</th></tr></thead><tbody>@foreach ($marks as [$at, $level, $who])<tr>
                    <td>{{ $at->format('j M Y') }}</td><td
                    class="num">{{ App\View\Explain::percent($level) }}</td>
                    <td>{{ $who }}</td></tr>@endforeach</tbody></table>
        @endif
    </main>
</x-layout>
