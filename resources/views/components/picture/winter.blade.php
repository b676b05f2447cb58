@props(['picture'])
@php($p = App\Picture\WinterPicture::class)
<div class="scrolls" tabindex="0" role="region" aria-label="Picture of the winter charge">
<svg class="strip winter-picture" viewBox="0 0 {{ $p::WIDTH }} {{ $p::HEIGHT }}" role="img"
    aria-label="How full receiver and condenser are, from the coldest day to the weather of the plan">
    @if ($picture->lost() !== null)<rect x="{{ $p::LEFT }}" y="{{ $p::TOP }}"
        width="{{ max(0, $picture->lost()['x'] - $p::LEFT) }}" height="{{ $p::BOTTOM - $p::TOP }}"
        class="winter-lost" />@endif
    @foreach ([0, 0.2, 0.4, 0.6, 1] as $level)<line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}"
        y1="{{ $picture->y($level) }}" y2="{{ $picture->y($level) }}" class="strip-level" /><text
        x="{{ $p::LEFT - 8 }}" y="{{ $picture->y($level) + 4 }}" text-anchor="end"
        class="strip-small">{{ round(100 * $level) }} %</text>@endforeach
    <line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}" y1="{{ $picture->full() }}" y2="{{ $picture->full() }}"
        class="winter-full" /><text x="{{ $p::LEFT + 4 }}" y="{{ $picture->full() - 5 }}" class="strip-small">80 %:
        the receiver holds no more</text>
    @if ($picture->lost() !== null)<text x="{{ $p::LEFT + 6 }}" y="{{ $p::BOTTOM - 8 }}"
        class="strip-move">{{ $picture->lost()['text'] }} with the summer's charge</text>@endif
    @foreach ($picture->paths() as $name => $path)<path d="{{ $path }}" class="winter-{{ $name }}" />@endforeach
    @foreach ($picture->names() as $name)<text x="{{ $p::RIGHT + 8 }}" y="{{ $name['y'] }}"
        class="strip-small">{{ $name['text'] }}</text>@endforeach
    @foreach ($picture->coldest() as $one)<text x="{{ $p::LEFT + 6 }}" y="{{ $one['y'] }}"
        class="strip-move">{{ $one['text'] }}</text>@endforeach
    @foreach ($picture->temperatures() as $tick)<text x="{{ $tick['x'] }}" y="{{ $p::BOTTOM + 18 }}"
        text-anchor="middle" class="strip-small">{{ $tick['text'] }}</text>@endforeach
    <text x="{{ ($p::LEFT + $p::RIGHT) / 2 }}" y="{{ $p::HEIGHT - 8 }}" text-anchor="middle" class="strip-small">air
        at the condenser</text>
</svg>
</div>
