@props(['drawing'])
@php([$flooded, $level, $wet] = [$drawing->flooded(), $drawing->level(), $drawing->wet()])
<svg viewBox="0 0 372 236" class="drawing circuit-drawing" role="img" aria-labelledby="circuit-title">
    <title id="circuit-title">Circuit: {{ $drawing->sentence() }}</title>
    <g fill="none" stroke-width="{{ $drawing->flow }}" stroke-linejoin="round">
        <path stroke="{{ $drawing->pipes['discharge'] }}" d="M50 106V48H92"/>
        <path stroke="{{ $drawing->pipes['condensed'] }}" d="M232 48H322V{{ $drawing->receiver ? 66 : 126 }}"/>
        <path stroke="{{ $drawing->pipes['liquid'] }}" d="M322 126V158"/>
        <path stroke="{{ $drawing->pipes['valve'] }}" d="M322 158V192H308"/>
        <path stroke="{{ $drawing->pipes['coil'] }}" d="M290 192H252"/>
        <path stroke="{{ $drawing->pipes['outlet'] }}" d="M128 192H92"/>
        <path stroke="{{ $drawing->pipes['suction'] }}" d="M92 192H50V146"/>
        @if ($drawing->headValve)<path class="bypass" stroke="{{ $drawing->pipes['discharge'] }}"
            stroke-width="{{ $drawing->bypass() }}" d="M50 80H262V48"/><circle
            class="part" cx="262" cy="48" r="8" stroke-width="1.6"/>@endif
    </g>
    <rect class="part" x="92" y="28" width="140" height="40" rx="3"/>
    <rect class="liquid" fill="{{ $drawing->pipes['condensed'] }}" x="{{ $flooded['x'] }}"
        y="28" width="{{ $flooded['width'] }}" height="40" rx="3"/>
    <rect class="part-line" x="92" y="28" width="140" height="40" rx="3"/>
    @if ($drawing->receiver)
        <rect class="part" x="302" y="66" width="40" height="60" rx="8"/>
        <rect class="liquid" fill="{{ $drawing->pipes['liquid'] }}" x="302"
            y="{{ $level['y'] }}" width="40" height="{{ $level['height'] }}"
            rx="6"/>
        <rect class="part-line" x="302" y="66" width="40" height="60" rx="8"/>
        <text class="value" x="296" y="100" text-anchor="end">level {{ $level['text'] }}</text>
    @endif
    @foreach ($drawing->bubbles() as $bubble)<circle class="bubble" cx="{{ $bubble['x'] }}"
        cy="{{ $bubble['y'] }}" r="2.4"/>@endforeach
    <path class="part" d="M308 184V200L290 184V200Z"/>
    <text class="value" x="286" y="216">{{ $drawing->opening() }} open</text>
    <rect class="part" x="128" y="172" width="124" height="40" rx="3"/>
    <rect class="liquid" fill="{{ $drawing->pipes['coil'] }}" x="{{ $wet['x'] }}" y="172"
        width="{{ $wet['width'] }}" height="40" rx="3"/>
    <rect class="part-line" x="128" y="172" width="124" height="40" rx="3"/>
    @if ($drawing->regulator)<path class="part" d="M118 184V200L102 184V200Z"/><text class="value" x="110" y="178"
        text-anchor="middle">EPR</text>@endif
    <circle class="part" cx="50" cy="126" r="20"/>
    <path class="part-line" d="M40 134L50 114L60 134Z"/>
    <text class="value" x="78" y="131">{{ $drawing->power() }}</text>
    <text class="name" x="162" y="21" text-anchor="middle">condenser, {{ $flooded['text'] }}
        flooded</text>
    <text class="name" x="190" y="164" text-anchor="middle">coil, {{ $wet['text'] }} wetted,
        {{ $drawing->cooling() }}</text>
    @if ($drawing->runs)<text class="value" x="276" y="66" text-anchor="middle">{{ $drawing->massFlow }}</text>@endif
    <text class="value" x="44" y="76" text-anchor="end">{{ $drawing->texts['discharge'] }}</text>
    <text class="value" x="330" y="44">{{ $drawing->texts['condensed'] }}</text>
    <text class="value" x="330" y="150">{{ $drawing->texts['valve'] }}</text>
    <text class="value" x="271" y="184" text-anchor="middle">{{ $drawing->texts['coil'] }}</text>
    <text class="value" x="104" y="216" text-anchor="middle">{{ $drawing->texts['outlet'] }}</text>
    <text class="value" x="44" y="172" text-anchor="end">{{ $drawing->texts['suction'] }}</text>
</svg>
