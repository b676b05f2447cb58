@props(['strip', 'label'])
<svg {{ $attributes->merge(['class' => 'strip']) }} viewBox="0 0 {{ $strip->width }} {{ $strip->height }}" role="img"
    aria-label="{{ $label }} over time; same data in the table">
    <defs><pattern id="hatch-{{ (int) $strip->width }}" width="6" height="6" patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"><line x1="0" y1="0" x2="0" y2="6" class="strip-hatch" /></pattern></defs>
    <text x="{{ $strip->scale->left() }}" y="13" class="strip-title">{{ $label }}</text>
    @if ($strip->wanted() !== null)<rect x="{{ $strip->scale->left() }}" y="{{ $strip->wanted()['y'] }}"
        width="{{ $strip->scale->breadth() }}" height="{{ $strip->wanted()['height'] }}"
        class="strip-wanted" /><text x="{{ $strip->scale->right() }}" dx="-4"
        y="{{ $strip->wanted()['bottom'] }}" dy="-5" text-anchor="end"
        class="strip-small">{{ $strip->wanted()['text'] }}</text>@endif
    @foreach ($strip->waits() as $wait)<rect x="{{ $wait['x'] }}" y="{{ App\Picture\StripScale::TOP }}"
        width="{{ $wait['width'] }}" height="{{ $strip->scale->depth() }}"
        fill="url(#hatch-{{ (int) $strip->width }})" />@endforeach
    @foreach ($strip->levels() as $level)<line x1="{{ $strip->scale->left() }}" x2="{{ $strip->scale->right() }}"
        y1="{{ $level['y'] }}" y2="{{ $level['y'] }}" class="strip-level" /><text
        x="{{ $strip->scale->left() }}" dx="-7" y="{{ $level['y'] }}" dy="4" text-anchor="end"
        class="strip-small">{{ $level['text'] }}</text>@endforeach
    @foreach ($strip->scale->hours() as $hour)<text x="{{ $hour['x'] }}" y="{{ $strip->height }}" dy="-8"
        text-anchor="middle" class="strip-small">{{ $hour['text'] }}</text>@endforeach
    @foreach ($strip->notches() as $notch)<line x1="{{ $notch['x'] }}" x2="{{ $notch['x'] }}"
        y1="{{ App\Picture\StripScale::NOTCH }}" y2="{{ $strip->scale->bottom() }}" class="strip-notch" /><path
        transform="translate({{ $notch['x'] }} {{ App\Picture\StripScale::NOTCH }})" d="M-5 0h10l-5 7z"
        class="strip-mark" /><text
        x="{{ $notch['x'] }}" dx="8" y="{{ App\Picture\StripScale::TOP }}" dy="-1"
        class="strip-move">{{ $notch['text'] }}</text>@endforeach
    @if ($strip->foretold() !== null)@php($told = $strip->foretold())
        @foreach ($strip->lastDots() as $dot)<line x1="{{ $dot['x'] }}" y1="{{ $dot['y'] }}"
            x2="{{ $told['x'] }}" y2="{{ $told['y'] }}" class="strip-toward" />@endforeach
        <line x1="{{ $told['x'] }}" x2="{{ $told['x'] }}" y1="{{ $told['top'] }}"
            y2="{{ $told['bottom'] }}" class="strip-width" /><circle cx="{{ $told['x'] }}"
            cy="{{ $told['y'] }}" r="6" class="strip-told" />
        <text x="{{ $told['x'] }}" y="{{ $told['top'] }}" dy="-8" text-anchor="middle"
            class="strip-value">predicted {{ $told['text'] }}</text>
    @endif
    @foreach ($strip->dots() as $dot)<circle cx="{{ $dot['x'] }}" cy="{{ $dot['y'] }}" r="5"
        class="{{ $dot['early'] ? 'strip-early' : 'strip-dot' }}" /><text x="{{ $dot['textX'] }}"
        y="{{ $dot['y'] }}" dy="-11" text-anchor="middle" class="strip-value">{{ $dot['text'] }}</text>@endforeach
</svg>
