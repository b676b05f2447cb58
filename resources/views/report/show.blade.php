<x-layout title="Report, {{ $report->visit->circuit->name }}">
    <x-slot:where><a href="{{ route('circuits.show',
        $report->visit->circuit) }}">{{ $report->visit->circuit->name }}</a> / report</x-slot:where>
    <main id="main" class="page report">
        <div class="page-head"><h1>{{ $report->visit->circuit->site->name }}: {{ $report->titleOfCircuit() }}</h1>
            <a class="btn" href="{{ route('visits.pdf', $report->visit) }}">PDF</a> <a class="btn quiet"
                href="{{ route('visits.file', $report->visit) }}" download>Visit file</a> <a class="btn quiet"
                href="{{ route('visits.show', [$report->visit, 'verdict']) }}">To the visit</a></div>
        <p class="soft">{{ $report->day() }} · {{ $report->visit->user->name }} ·
            {{ $report->basis->refrigerant() }} · @drawn($report->basis->kind()){{ $report->visit->isOpen()
            ? ' · '.__('visit still open') : '' }}</p>
        @include('report.body', ['print' => false])
    </main>
</x-layout>
