<x-layout title="Help sheet, {{ $sheet->visit->circuit->name }}">
    <x-slot:where><a href="{{ route('visits.show', [$sheet->visit, 'box']) }}">{{ $sheet->visit->circuit->name }}</a>
        / help sheet</x-slot:where>
    <main id="main" class="page report help-sheet">
        <div class="page-head"><h1>Help sheet: {{ $sheet->visit->circuit->name }},
            {{ $sheet->visit->circuit->site->name }}</h1><button class="btn quiet" data-print>Print</button></div>
        <p class="soft">{{ $sheet->visit->opened_at->format('j M Y, H:i') }} · {{ $sheet->visit->user->name }} ·
            {{ $sheet->basis->refrigerant() }} · complaint: {{ $sheet->complaint() }}</p>
        @if ($sheet->sheet !== null)
            <p><b>{{ $sheet->sheet->perDay() === '' ? 'Production not measured' : $sheet->sheet->perDay() }}</b>,
                {{ $sheet->sheet->expected() }}. {{ $sheet->sheet->sentence() }} {{ $sheet->counted() }}</p>
        @endif
        @if ($sheet->course !== null)<x-picture.course :course="$sheet->course" name="help" />@endif
        @if ($sheet->cycle() !== null)<div class="picture-box" tabindex="0" role="region"
            aria-label="One cycle"><x-picture.ice-cycle :cycle="$sheet->cycle()" /></div>@endif
        <div class="help-columns">
            @foreach ($sheet->rows as $heading => $rows)
                <section><h2>{{ $heading }}</h2>
                    <table><tbody>@foreach ($rows as $row)<tr><th scope="row">{{ $row['name']
                        }}@if ($row['place'] !== '')<small>{{ $row['place'] }}</small>@endif</th><td
                        @class(['soft' => ! $row['isKnown']])>{{ $row['value'] }}</td></tr>@endforeach</tbody></table>
                </section>
            @endforeach
        </div>
        @if ($sheet->basis->plate() !== [])<p><b>Nameplate and design:</b>
            {{ implode('; ', $sheet->basis->plate()) }}.</p>@endif
        @if ($sheet->moves() !== [])<p><b>Changed so far:</b> {{ implode('; ', $sheet->moves()) }}.</p>@endif
        @if ($sheet->tried() !== [])<p><b>Tried:</b> {{ implode('; ', $sheet->tried()) }}.</p>@endif
        @if ($sheet->suspects() !== [])<p><b>Most likely:</b> {{ implode('; ', $sheet->suspects()) }}.</p>@endif
        @if ($sheet->excluded() !== [])<p><b>Ruled out:</b> {{ implode(', ', $sheet->excluded()) }}.</p>@endif
        @if ($sheet->missing() !== [])<p><b>Not measured or checked:</b>
            {{ implode(', ', $sheet->missing()) }}.</p>@endif
    </main>
</x-layout>
