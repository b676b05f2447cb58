@props(['drawing'])
@php($share = $drawing->shares())
<svg viewBox="0 0 372 236" class="drawing circuit-drawing" role="img" aria-labelledby="circuit-title">
    <title id="circuit-title">The circuit: {{ $drawing->sentence() }}</title>
    <g fill="none" stroke-width="{{ $drawing->flow }}" stroke-linejoin="round">
        <path stroke="{{ $drawing->pipes['discharge'] }}" d="M50 106V48H92"/>
        <path stroke="{{ $drawing->pipes['condensed'] }}" d="M232 48H322V{{ $drawing->receiver ? 66 : 126 }}"/>
        <path stroke="{{ $drawing->pipes['liquid'] }}" d="M322 126V158"/>
        <path stroke="{{ $drawing->pipes['valve'] }}" d="M322 158V192H308"/>
        <path stroke="{{ $drawing->pipes['coil'] }}" d="M290 192H252"/>
        <path stroke="{{ $drawing->pipes['outlet'] }}" d="M128 192H92"/>
        <path stroke="{{ $drawing->pipes['suction'] }}" d="M92 192H50V146"/>
        @if ($drawing->headValve)<path class="bypass" stroke="{{ $drawing->pipes['discharge'] }}"
            stroke-width="{{ 1.5 + 5 * min(1.0, $drawing->state->bypassed) }}" d="M50 80H262V48"/><circle
            class="part" cx="262" cy="48" r="8" stroke-width="1.6"/>@endif
    </g>
    <rect class="part" x="92" y="28" width="140" height="40" rx="3"/>
    <rect class="liquid" fill="{{ $drawing->pipes['condensed'] }}" x="{{ 232 - round(140 * $share['flooded'], 1) }}"
        y="28" width="{{ round(140 * $share['flooded'], 1) }}" height="40" rx="3"/>
    <rect class="part-line" x="92" y="28" width="140" height="40" rx="3"/>
    @if ($drawing->receiver)
        <rect class="part" x="302" y="66" width="40" height="60" rx="8"/>
        <rect class="liquid" fill="{{ $drawing->pipes['liquid'] }}" x="302"
            y="{{ 126 - round(60 * $share['level'], 1) }}" width="40" height="{{ round(60 * $share['level'], 1) }}"
            rx="6"/>
        <rect class="part-line" x="302" y="66" width="40" height="60" rx="8"/>
        <text class="value" x="296" y="100" text-anchor="end">level {{ round(100 * $share['level']) }} %</text>
    @endif
    @for ($i = 0; $i < 4; $i++)@if ($share['gas'] * 40 > $i + 0.1)<circle class="bubble"
        cx="{{ 322 + ($i % 2 ? 2 : -2) }}" cy="{{ 136 + 8 * $i }}" r="2.4"/>@endif @endfor
    <path class="part" d="M308 184V200L290 184V200Z"/>
    <text class="value" x="286" y="216">{{ round(100 * $share['opening']) }} % open</text>
    <rect class="part" x="128" y="172" width="124" height="40" rx="3"/>
    <rect class="liquid" fill="{{ $drawing->pipes['coil'] }}" x="{{ 252 - round(124 * $share['wet'], 1) }}" y="172"
        width="{{ round(124 * $share['wet'], 1) }}" height="40" rx="3"/>
    <rect class="part-line" x="128" y="172" width="124" height="40" rx="3"/>
    @if ($drawing->regulator)<path class="part" d="M118 184V200L102 184V200Z"/><text class="value" x="110" y="178"
        text-anchor="middle">regulator</text>@endif
    <circle class="part" cx="50" cy="126" r="20"/>
    <path class="part-line" d="M40 134L50 114L60 134Z"/>
    <text class="value" x="78" y="131">{{ Metrum\Quantity\Format::number($drawing->state->power / 1e3, 2, true) }}
        kW</text>
    <text class="name" x="162" y="21" text-anchor="middle">condenser, {{ round(100 * $share['flooded']) }} %
        flooded</text>
    <text class="name" x="190" y="164" text-anchor="middle">coil, {{ round(100 * $share['wet']) }} % wet,
        {{ Metrum\Quantity\Format::number($drawing->state->cooling / 1e3, 2, true) }} kW</text>
    @if ($drawing->runs)<text class="value" x="276" y="66" text-anchor="middle">{{ $drawing->massFlow }}</text>@endif
    <text class="value" x="44" y="76" text-anchor="end">{{ $drawing->texts['discharge'] }}</text>
    <text class="value" x="330" y="44">{{ $drawing->texts['condensed'] }}</text>
    <text class="value" x="330" y="150">{{ $drawing->texts['valve'] }}</text>
    <text class="value" x="271" y="184" text-anchor="middle">{{ $drawing->texts['coil'] }}</text>
    <text class="value" x="104" y="216" text-anchor="middle">{{ $drawing->texts['outlet'] }}</text>
    <text class="value" x="44" y="172" text-anchor="end">{{ $drawing->texts['suction'] }}</text>
</svg>
