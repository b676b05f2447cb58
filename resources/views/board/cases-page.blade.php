<x-layout title="Cases of {{ $page->name() }}" :visit="true">
    <x-slot:where><a href="{{ route('visits.board', $page->visit) }}">Rack board</a> /
        <b>{{ $page->name() }}</b></x-slot:where>
    <p id="no-script" class="no-script" role="alert">This page cannot run its script, so nothing can be entered. Reload
        it when online.</p>
    <div class="board-one" data-visit="{{ $page->visit->id }}" @if ($page->mayEnter) data-open @endif
        data-station="board">
        <main id="main" class="board board-work" data-needs-script inert>
            <h1>{{ $page->name() }}: cases</h1>
            @include('board.cases')
            <div id="waiting" class="waiting" role="status" aria-live="polite"></div>
        </main>
    </div>
</x-layout>
