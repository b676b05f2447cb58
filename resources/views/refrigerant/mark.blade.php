<a class="cylinder" href="{{ route('cylinders.show', $mark->cylinder->id) }}">
    <svg viewBox="0 0 40 84" width="40" height="84" aria-hidden="true">
        <path class="vessel" d="M14 4h12v8c8 2 10 6 10 12v50c0 4-3 6-7 6H11c-4 0-7-2-7-6V24c0-6 2-10 10-12z" />
        <clipPath id="in-{{ $mark->cylinder->id }}"><path
            d="M14 4h12v8c8 2 10 6 10 12v50c0 4-3 6-7 6H11c-4 0-7-2-7-6V24c0-6 2-10 10-12z" /></clipPath>
        <g clip-path="url(#in-{{ $mark->cylinder->id }})">
            <rect class="hot" x="0" y="{{ $mark->hotLiquid()['y'] }}" width="40"
                height="{{ $mark->hotLiquid()['height'] }}" />
            <rect class="liquid" x="0" y="{{ $mark->liquid()['y'] }}" width="40"
                height="{{ $mark->liquid()['height'] }}" />
        </g>
        <line class="limit" x1="4" x2="36" y1="27.2" y2="27.2" />
    </svg>
    <span><b>{{ $mark->mark()->sign() }} {{ $mark->cylinder->refrigerant }} · {{ $mark->cylinder->label }}</b><span
        class="value">{{ $mark->content() }}</span><small>{{ $mark->cylinder->isRecovered ? 'recovered' : 'new' }} ·
            gross {{ $mark->gross() }}, limit {{ $mark->limit() }}</small><small>{{ $mark->words() }}</small></span>
</a>
