@props(['history', 'alt'])
@php($p = App\Picture\HistoryPicture::class)
<svg class="history-picture" viewBox="0 0 {{ $p::WIDTH }} {{ $history->height() }}" role="img"
    aria-label="{{ $alt }}">
    @foreach ($history->strips as $strip)
        <g transform="translate(0 {{ $strip->top }})">
            <rect x="{{ $p::LEFT }}" width="{{ $p::ACROSS }}" y="{{ $strip->band[0] }}"
                height="{{ $strip->band[1] }}" class="history-band" />
            @foreach ($strip->limits as $y)<line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}" y1="{{ $y }}"
                y2="{{ $y }}" class="history-limit" />@endforeach
            <text x="0" y="{{ $strip->zero[0] }}" dy="-2" class="history-label">{{ $strip->label }}</text>
            <text x="0" y="{{ $strip->zero[0] }}" dy="14" class="history-soft">limit {{ $strip->zero[1] }}</text>
            @foreach ($strip->moves as [$x, $words, $whole])<g><title>{{ $whole }}</title><line x1="{{ $x }}"
                x2="{{ $x }}" y1="{{ $p::MOVES }}" y2="{{ $p::BOTTOM }}" class="history-move" /><text
                x="{{ $x }}" dx="4" y="{{ $p::WORDS }}" class="history-soft">{{ $words }}</text></g>@endforeach
            @if ($strip->line !== '')<path d="{{ $strip->line }}" class="history-line" />@endif
            @foreach ($strip->dots as [$x, $y, $isBeyond, $said])<circle cx="{{ $x }}" cy="{{ $y }}" r="4.5"
                @class(['history-dot', 'beyond' => $isBeyond])><title>{{ $said }}</title></circle>@endforeach
        </g>
    @endforeach
    @foreach ($history->months as [$x, $text])<text x="{{ $x }}" y="{{ $history->foot() }}"
        text-anchor="middle" class="history-soft">{{ $text }}</text>@endforeach
</svg>
