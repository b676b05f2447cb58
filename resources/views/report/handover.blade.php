<x-layout title="Handover, {{ $page->visit->circuit->name }}">
    <x-slot:where><a href="{{ $page->visit->address() }}">{{ $page->visit->circuit->name }}</a> /
        handover</x-slot:where>
    <main id="main" class="page report handover">
        <div class="page-head"><h1>Handover: {{ $page->visit->circuit->name }},
            {{ $page->visit->circuit->site->name }}</h1><button class="btn quiet" data-print>Print</button></div>
        <p class="soft">{{ $page->visit->opened_at->format('j M Y, H:i') }} · {{ $page->visit->user->name }} ·
            {{ $page->basis->refrigerant() }}@if ($page->visit->isOpen()) · visit still open @endif ·
            {{ $page->visit->circuit->site->place }} · {{ $page->visit->circuit->site->contact }}</p>
        @if ($page->touched() !== [])
            <h2>● Not restored yet</h2>
            <ul>@foreach ($page->touched() as $one)<li><b>{{ $one }}</b></li>@endforeach</ul>
        @endif
        <h2>Asked</h2>
        <p>{{ $page->asked() }}</p>
        <h2>State of the diagnosis</h2>
        @if ($page->confirmed() !== [])<p>Confirmed: {{ implode(', ', $page->confirmed()) }}.</p>@endif
        @if ($page->suspects() !== [])<p>Most likely: {{ implode('; ', $page->suspects()) }}.</p>@else
            <p>Nothing entered yet.</p>@endif
        @if ($page->excluded() !== [])<p>Ruled out: {{ implode(', ', $page->excluded()) }}.</p>@endif
        <h2>Tried and changed</h2>
        @if ($page->tried() === [])<p>No tests or changes yet.</p>@endif
        <ul>@foreach ($page->tried() as $one)<li>{{ $one }}</li>@endforeach</ul>
        @if ($page->begun() !== [])<p>Not finished: {{ implode('; ', $page->begun()) }}.</p>@endif
        @if ($page->next() !== null)
            <h2>Next check: {{ App\View\Explain::within($page->next()->title()) }}</h2>
            <p>@told($page->next()->how) {{ $page->next()->minutes }} min, {{ $page->next()->effort->label() }}.</p>
            @foreach ($page->next()->cautions as $caution)<p class="caution">◐ @told($caution)</p>@endforeach
        @endif
        @if ($page->bring() !== [])<h2>Bring</h2><p>{{ implode('; ', $page->bring()) }}.</p>@endif
        @if ($page->weak() !== '')<h2>Weak points</h2><p>{{ $page->weak() }}</p>@endif
        @if ($page->promised()->isNotEmpty())
            <h2>Follow-ups</h2>
            <ul>@foreach ($page->promised() as $followUp)<li>{{ $followUp->due_on->format('j M Y') }}:
                {{ $followUp->what }} @include('today.terms')</li>@endforeach</ul>
        @endif
    </main>
</x-layout>
