@props(['picture'])
@php($p = App\Picture\WinterPicture::class)
<div class="scrolls" tabindex="0" role="region" aria-label="Winter charge picture">
<svg class="strip winter-picture" viewBox="0 0 {{ $p::WIDTH }} {{ $p::HEIGHT }}" role="img"
    aria-label="Receiver level and condenser flooding, from the coldest day to design ambient">
    @if ($picture->lost() !== null)<rect x="{{ $p::LEFT }}" y="{{ $p::TOP }}"
        width="{{ $picture->lost()['width'] }}" height="{{ $p::DEPTH }}"
        class="winter-lost" />@endif
    @foreach ($picture->levels() as $level)<line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}"
        y1="{{ $level['y'] }}" y2="{{ $level['y'] }}" class="strip-level" /><text
        x="{{ $p::LEFT }}" dx="-8" y="{{ $level['y'] }}" dy="4" text-anchor="end"
        class="strip-small">{{ $level['text'] }}</text>@endforeach
    <line x1="{{ $p::LEFT }}" x2="{{ $p::RIGHT }}" y1="{{ $picture->full() }}" y2="{{ $picture->full() }}"
        class="winter-full" /><text x="{{ $p::LEFT }}" dx="4" y="{{ $picture->full() }}" dy="-5"
        class="strip-small">80 %: receiver limit</text>
    @if ($picture->lost() !== null)<text x="{{ $p::LEFT }}" dx="6" y="{{ $p::BOTTOM }}" dy="-8"
        class="strip-move">{{ $picture->lost()['text'] }} with summer charge only</text>@endif
    @foreach ($picture->paths() as $name => $path)<path d="{{ $path }}" class="winter-{{ $name }}" />@endforeach
    @foreach ($picture->names() as $name)<text x="{{ $p::RIGHT }}" dx="8" y="{{ $name['y'] }}"
        class="strip-small">{{ $name['text'] }}</text>@endforeach
    @foreach ($picture->coldest() as $one)<text x="{{ $p::LEFT }}" dx="6" y="{{ $one['y'] }}"
        class="strip-move">{{ $one['text'] }}</text>@endforeach
    @foreach ($picture->temperatures() as $tick)<text x="{{ $tick['x'] }}" y="{{ $p::BOTTOM }}" dy="18"
        text-anchor="middle" class="strip-small">{{ $tick['text'] }}</text>@endforeach
    <text x="{{ $p::MIDDLE }}" y="{{ $p::HEIGHT }}" dy="-8" text-anchor="middle" class="strip-small">ambient</text>
</svg>
</div>
