@props(['payback', 'alt'])
@php($p = App\Picture\PaybackPicture::class)
<svg class="payback-picture" viewBox="0 0 {{ $p::WIDTH }} {{ $p::HEIGHT }}" role="img" aria-label="{{ $alt }}">
    <path d="{{ $payback->field }}" class="payback-field" />
    @foreach ($payback->levels as [$y, $text])<text x="{{ $p::LEFT }}" dx="-8" y="{{ $y }}" dy="4"
        text-anchor="end" class="history-soft">{{ $text }}</text>@endforeach
    <line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}" y1="{{ $payback->zero }}" y2="{{ $payback->zero }}"
        class="payback-zero" />
    <path d="{{ $payback->line }}" class="payback-line" />
    @foreach ($payback->years as [$x, $text])<text x="{{ $x }}" y="{{ $p::BOTTOM }}" dy="22" text-anchor="middle"
        class="history-soft">{{ $text }}</text>@endforeach
</svg>
