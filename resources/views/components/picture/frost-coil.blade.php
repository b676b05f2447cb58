@props(['word'])
<svg class="frost-coil" viewBox="0 0 72 34" aria-hidden="true">
    @php
    $fills = [
        'none' => [0, 0],
        'inlet_only' => [0, 4],
        'even' => [0, 12],
        'blocked' => [0, 12],
        'outlet_only' => [8, 12],
        'inlet_iced' => [0, 6],
        'outlet_iced' => [6, 12],
    ];
    $fill = $fills[$word] ?? [0, 0];
@endphp
    @php($ice = ['blocked' => [4, 64], 'inlet_iced' => [4, 33], 'outlet_iced' => [35, 33]][$word] ?? null)
    @if ($ice !== null)<rect class="ice" x="{{ $ice[0] }}" y="3" width="{{ $ice[1] }}" height="28" rx="5"/>@endif
    @for ($i = 0; $i < 12; $i++)
        <rect @class(['fin', 'frosted' => $i >= $fill[0] && $i < $fill[1]]) x="{{ 7 + $i * 5 }}" y="5"
            width="{{ $i >= $fill[0] && $i < $fill[1] ? 3.6 : 1.4 }}" height="24" rx="0.7"/>
    @endfor
    <path class="tube" d="M0 11 H68 M68 23 H0 M68 11 a6 6 0 0 1 0 12"/>
</svg>
