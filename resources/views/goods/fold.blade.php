{{-- Goods in the box: which, since when, for how long out of their limits, what became of them. --}}
<details class="fold goods" id="goods-fold" data-part>
    <summary>Goods: {{ $goods->summary() }}@if ($goods->state->isUndecided()) Moved?@endif</summary>
    <div class="taps">@foreach ($goods->choices() as [$one, $isKept])
        <x-entry :page="$page" kind="goods" :key="$one->value" :says="App\View\Explain::within($one->label())">
            <button name="value" value="{{ $isKept ? 'no' : 'yes' }}" data-on="yes" data-off="no"
                aria-pressed="{{ $isKept ? 'true' : 'false' }}" class="tap"
                id="goods-{{ $one->value }}" @disabled(! $page->mayEnter)>{{ $one->label() }}</button>
        </x-entry>@endforeach</div>
    @if ($goods->state->rows !== [])
        <div class="grid-fields">
            <x-entry :page="$page" kind="reading" key="product_temperature_c" says="product temperature">
                <x-field id="goods-product" name="value" label="Product temperature, between packages"
                    inputmode="decimal" :unit="$page->units->symbol(Metrum\Quantity\QuantityKind::Temperature)" />
                <button class="btn quiet" @disabled(! $page->mayEnter)>Enter</button>
            </x-entry>
            <x-entry :page="$page" kind="goods" key="last_good" says="last known good">
                <x-field id="goods-last" name="value" label="Last known good" :value="$goods->lastGood()"
                    hint="22:30, or 6 h" />
                <button class="btn quiet" @disabled(! $page->mayEnter)>Enter</button>
            </x-entry>
        </div>
        @include('goods.rows')
        @if ($goods->state->isUndecided())<p class="caution">◐ Goods out of limits: moved, discarded, or staying? By
            whom?</p>@endif
        @foreach ($goods->happened() as $one)<p>{{ $one }}</p>@endforeach
        <x-entry :page="$page" kind="goods" class="grid-fields goods-event" says="goods">
            <div class="field-row"><label for="goods-event">Goods</label>
                <select name="key" id="goods-event">
                    @foreach ($goods::events() as $event)
                        <option value="{{ $event->value }}">{{ $event->label() }}</option>
                    @endforeach
                </select></div>
            <x-field id="goods-what" name="value" label="What, or where to" />
            <x-field id="goods-who" name="reason" label="By whom" />
            <p class="actions"><button class="btn quiet" @disabled(! $page->mayEnter)>Enter</button></p>
        </x-entry>
        <p class="actions"><a class="btn quiet" href="{{ route('visits.goods', $page->visit) }}">Goods sheet</a></p>
    @endif
</details>
