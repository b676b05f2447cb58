@props(['picture'])
<figure class="ledger-picture scrolls" tabindex="0" role="region" aria-label="Ledger picture">
    <svg viewBox="0 0 {{ App\Picture\LedgerPicture::WIDTH }} {{ App\Picture\LedgerPicture::HEIGHT }}" role="img"
        aria-label="Charge on record and losses over time">
        @foreach ($picture->years as [$x, $year])<line class="year" x1="{{ $x }}" x2="{{ $x }}" y1="12" y2="208"
            /><text class="soft" x="{{ $x }}" dx="4" y="222">{{ $year }}</text>@endforeach
        @if ($picture->fullAt !== null)<line class="full" x1="64" x2="740" y1="{{ $picture->fullAt }}"
            y2="{{ $picture->fullAt }}" /><text class="soft" x="736" y="{{ $picture->fullAt }}" dy="-6"
            text-anchor="end">{{ $picture->full }}</text>@endif
        <path class="running" d="{{ $picture->path() }}" />
        @foreach ($picture->marks as $one)<circle class="moved" cx="{{ $one['x'] }}" cy="{{ $one['y'] }}"
            r="4"><title>{{ $one['words'] }}</title></circle>@endforeach
        <line class="base" x1="64" x2="740" y1="{{ $picture->lossesFrom() }}" y2="{{ $picture->lossesFrom() }}" />
        <text class="soft" x="58" y="30" text-anchor="end">in</text><text class="soft" x="58"
            y="{{ $picture->lossesFrom() }}" dy="14" text-anchor="end">lost</text>
        @foreach ($picture->losses as $one)<line class="loss" x1="{{ $one['x'] }}" x2="{{ $one['x'] }}"
            y1="{{ $picture->lossesFrom() }}" y2="{{ $one['to'] }}" /><text
            x="{{ $one['x'] }}" y="{{ $one['to'] }}" dy="13"
            text-anchor="middle">{{ $one['words'] }}</text>@endforeach
    </svg>
</figure>
