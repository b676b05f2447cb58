@php($circuit = $sheet->circuit)
<x-layout title="Repair or replace, {{ $circuit->name }}">
    <x-slot:where><a href="{{ route('circuits.show', $circuit) }}">{{ $circuit->name }}</a> / <b>Repair or
        replace</b></x-slot:where>
    <main id="main" class="page report replacement">
        <div class="page-head"><h1>Repair or replace: {{ $circuit->name }}, {{ $circuit->site->name }}</h1><button
            class="btn quiet" data-print>Print</button></div>
        <p class="soft">Evidence for each. The owner decides; local law on refrigerants comes first.</p>
        <table class="standing">
            <thead><tr><th scope="col">Subject</th><th scope="col">Known</th><th scope="col">For repair</th><th
                scope="col">For replacement</th></tr></thead>
            <tbody>
                @foreach ($sheet->rows as $row)
                    <tr><th scope="row">{{ $row->subject }}</th><td>{{ $row->said }}</td>
                        @if ($row->isDecided())
                            @foreach ($row->columns() as $name => $speaks)
                                <td class="side" @if ($speaks) data-short="{{ $name }}" @endif>@if ($speaks)●<span
                                    class="sr">yes</span>@endif</td>
                            @endforeach
                        @else
                            <td colspan="2" class="side soft">{{ $row->side->label() }}</td>
                        @endif
                    </tr>
                @endforeach
            </tbody>
        </table>
        <h2>Payback of replacement</h2>
        @foreach ($sheet->paidBack as $one)<p>{{ $one }}</p>@endforeach
        @if ($sheet->picture !== null)
            <figure>
                <div class="scrolls" tabindex="0" role="region" aria-label="Payback"><x-picture.payback
                    :payback="$sheet->picture" :alt="$sheet->paidBack[0]" /></div>
                <figcaption>How far replacement is ahead of repair. Line: likely. Field: from the least to the
                    most saving. No interest, no rise in prices.</figcaption>
            </figure>
        @endif
        @if ($sheet->costs->missing() !== [])<p class="hint">Not entered:
            {{ implode('; ', $sheet->costs->missing()) }}.</p>@endif
        <details class="sheet no-print" @if ($errors->any() || $sheet->terms->replacement === null) open @endif>
            <summary>Prices, age and climate</summary>
            <form method="post" action="{{ route('circuits.replacement', $circuit) }}" novalidate>
                @csrf
                <div class="grid-fields">@foreach ($sheet->terms::fields() as $field)
                    <x-field :name="$field->key" :label="$field->label" inputmode="decimal"
                        :value="old($field->key, $sheet->terms->typed($field, $sheet->units))"
                        :unit="$sheet->unitOf($field)" />@endforeach</div>
                <p class="actions"><button class="btn">Save</button></p>
            </form>
        </details>
        <p class="hint">Energy: the compressor by this system's model over a year of ambient temperatures; width from
            a load of 46 to 86 % of its capacity on a design day and from the severity of the fault ± 25 %. Leaks and
            visits: as in the last 12 and 24 months; after repair, between none and as now. A visit counts as call-out
            and 1.5 h of labour. A new system uses 10 % less than this one when sound, unless entered.</p>
    </main>
</x-layout>
