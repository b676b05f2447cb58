@props(['goods', 'alt'])
@php($p = App\Picture\GoodsPicture::class)
<svg class="goods-picture" viewBox="0 0 {{ $p::WIDTH }} {{ $p::HEIGHT }}" role="img" aria-label="{{ $alt }}">
    @foreach ($goods->limits as [$y, $words, $text])<line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}" y1="{{ $y }}"
        y2="{{ $y }}" class="history-limit" /><text x="{{ $p::RIGHT }}" dx="8" y="{{ $words }}" dy="4"
        class="history-soft">{{ $text }}</text>@endforeach
    @if ($goods->ended !== null)<line x1="{{ $goods->ended }}" x2="{{ $goods->ended }}" y1="{{ $p::TOP }}"
        y2="{{ $p::BOTTOM }}" class="history-move" />@endif
    <path d="{{ $goods->path }}" class="payback-line" />
    @foreach ($goods->dots as [$x, $y])<circle cx="{{ $x }}" cy="{{ $y }}" r="4.5" class="history-dot" />@endforeach
    @foreach ($goods->levels as [$y, $text])<text x="{{ $p::LEFT }}" dx="-8" y="{{ $y }}" dy="4" text-anchor="end"
        class="history-soft">{{ $text }}</text>@endforeach
    @foreach ($goods->times as [$x, $text])<text x="{{ $x }}" y="{{ $p::BOTTOM }}" dy="22" text-anchor="middle"
        class="history-soft">{{ $text }}</text>@endforeach
</svg>
