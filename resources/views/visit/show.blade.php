<x-layout :title="$page->visit->circuit->name" visit>
    <x-slot:where><span class="wide"><a href="{{ route('sites.show',
        $page->visit->circuit->site) }}">{{ $page->visit->circuit->site->name }}</a> / </span><a
        href="{{ route('circuits.show',
        $page->visit->circuit) }}"><b>{{ $page->visit->circuit->name }}</b></a></x-slot:where>
    <x-slot:chips>
        <span class="chip">{{ $page->findings->circuit->refrigerant }}</span>
        @include('visit.clocks')
        @include('visit.state')
        @include('visit.photo-now')
        <a class="chip wide" href="{{ route('settings') }}">{{ $page->units->temperature->symbol() }} ·
            {{ $page->units->pressure->symbol() }}</a>
        <span class="chip wide">{{ $page->visit->isOpen() ? 'Visit' : 'Closed visit' }}
            {{ $page->visit->opened_at->format('j M, H:i') }}</span>
    </x-slot:chips>
    <p id="no-script" class="no-script" role="alert">This page cannot run its script, so nothing can be entered. Reload
        it when online.</p>
    <div class="bench stage-{{ $page->station->value }}" data-visit="{{ $page->visit->id }}" @if ($page->mayEnter)
        data-open @endif data-station="{{ $page->station->value }}">
        <nav class="walk" aria-label="Visit stations">@include('visit.walk')@include('visit.touched')</nav>
        <main id="main" class="work" data-needs-script inert>
            <h1 class="sr">{{ $page->station->labelAt($page->findings->circuit) }}:
                {{ $page->visit->circuit->name }}</h1>
            @if ($errors->any())<p class="error" role="alert">{{ $errors->first() }}@if (old('value') !== null) You
                typed “{{ old('value') }}”.@endif</p>@endif
            @if (! $page->visit->isOpen())
                <div class="said">This visit is closed. @can('reopen', $page->visit)<form class="inline"
                    method="post" action="{{ route('visits.reopen', $page->visit) }}">@csrf<button
                    class="btn quiet">Reopen</button></form>@else Only a lead can reopen it.@endcan</div>
            @elseif (! $page->mayEnter)
                <div class="said">This visit belongs to {{ $page->visit->user->name }}. <form class="inline"
                    method="post" action="{{ route('visits.store', $page->visit->circuit) }}">@csrf<button
                    class="btn quiet">Start your own visit</button></form></div>
            @endif
            @include('visit.hazards')
            @include('visit.which-one')
            @include('visit.stage')
            @include('visit.line')
            @include('visit.media')
            @include('visit.log')
        </main>
        <aside class="verdict-side" aria-label="Diagnosis" data-needs-script inert>@include('visit.verdict')</aside>
    </div>
</x-layout>
