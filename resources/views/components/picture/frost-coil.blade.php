@props(['coil'])
<svg class="frost-coil" viewBox="0 0 72 34" aria-hidden="true">
    @if ($coil->ice !== null)<rect class="ice" x="{{ $coil->ice['x'] }}" y="3" width="{{ $coil->ice['width'] }}"
        height="28" rx="5"/>@endif
    @foreach ($coil->fins as $fin)
        <rect @class(['fin', 'frosted' => $fin['isFrosted']]) x="{{ $fin['x'] }}" y="5"
            width="{{ $fin['width'] }}" height="24" rx="0.7"/>
    @endforeach
    <path class="tube" d="M0 11 H68 M68 23 H0 M68 11 a6 6 0 0 1 0 12"/>
</svg>
