<x-layout title="Goods, {{ $goods->visit->circuit->name }}">
    <x-slot:where><a href="{{ route('visits.show', [$goods->visit, 'box']) }}">{{ $goods->visit->circuit->name }}</a>
        / goods</x-slot:where>
    <main id="main" class="page report goods">
        <div class="page-head"><h1>Goods: {{ $goods->visit->circuit->name }},
            {{ $goods->visit->circuit->site->name }}</h1><button class="btn quiet" data-print>Print</button></div>
        <p class="soft">{{ $goods->visit->opened_at->format('j M Y, H:i') }} · {{ $goods->visit->user->name }}</p>
        @if ($goods->state->rows === [])
            <p class="empty">No goods entered. Choose them at the box.</p>
        @else
            @include('goods.rows')
            @if ($goods->picture() !== null)<div class="scrolls" tabindex="0" role="region"
                aria-label="Temperatures"><x-picture.goods :goods="$goods->picture()"
                :alt="$goods->summary()" /></div>@endif
            @if ($goods->state->isUndecided())<p class="caution">◐ Not entered whether moved, discarded or
                staying.</p>@endif
        @endif
        @foreach ($goods->happened() as $one)<p>{{ $one }}</p>@endforeach
        <p class="actions no-print"><a class="btn quiet" href="{{ route('visits.goods-csv', $goods->visit) }}"
            download>Table (CSV)</a></p>
    </main>
</x-layout>
