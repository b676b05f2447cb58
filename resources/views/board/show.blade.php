@php($plant = $page->visit->circuit->plant)
<x-layout title="{{ $plant->label() }}, {{ $page->visit->circuit->site->name }}" :visit="true">
    <x-slot:where><span class="wide"><a href="{{ route('sites.show', $page->visit->circuit->site)
        }}">{{ $page->visit->circuit->site->name }}</a> / </span><b>{{ $plant->label() }}</b></x-slot:where>
    <x-slot:chips>
        <span class="chip">{{ $page->found->plant->highSide->refrigerant }}</span>
        <span class="chip wide">{{ count($page->found->plant->branches) }} circuits</span>
        @include('board.clocks')
        @include('visit.photo-now')
        <a class="chip wide" href="{{ route('settings') }}">{{ $page->units->temperature->symbol() }} ·
            {{ $page->units->pressure->symbol() }}</a>
        <span class="chip wide">{{ $page->visit->isOpen() ? 'Visit' : 'Closed visit' }}
            {{ $page->visit->opened_at->format('j M, H:i') }}</span>
    </x-slot:chips>
    <p id="no-script" class="no-script" role="alert">This page cannot run its script, so nothing can be entered. Reload
        it when online.</p>
    <div class="board" data-visit="{{ $page->visit->id }}" @if ($page->mayEnter) data-open @endif
        data-station="board">
        <main id="main" class="board-work" data-needs-script inert>
            @if ($errors->any())<p class="error" role="alert">{{ $errors->first() }}@if (old('value') !== null) You
                typed “{{ old('value') }}”.@endif</p>@endif
            @if (! $page->visit->isOpen())<div class="said">This visit is closed.</div>@elseif (! $page->mayEnter)
                <div class="said">This visit belongs to {{ $page->visit->user->name }}.</div>@endif
            @include('board.head')
            @include('board.work')
            @include('board.picture')
            @include('board.facts')
            @include('board.isolation')
            @include('board.charge')
            @include('board.shared')
            @include('board.rows')
            @include('board.line')
            @include('board.which-one')
            @include('visit.media')
            @include('board.log')
        </main>
        <aside class="board-side" aria-label="Level and diagnosis" data-needs-script inert>
            @include('board.side')
        </aside>
    </div>
</x-layout>
