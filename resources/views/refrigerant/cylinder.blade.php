<x-layout title="Cylinder {{ $page->cylinder->label }}">
    <x-slot:where><a href="{{ route('stock') }}">Refrigerant</a> / <b>{{ $page->cylinder->label }}</b></x-slot:where>
    <main id="main" class="page">
        <div class="page-head"><h1>Cylinder {{ $page->cylinder->label }}, {{ $page->cylinder->refrigerant }}</h1><a
            class="btn quiet" href="{{ route('cylinders.edit', $page->cylinder) }}">Edit</a></div>
        @if ($page->cylinder->gone_at !== null)<p class="caution">◐ Returned
            {{ $page->cylinder->gone_at->format('j M Y') }}: no longer in stock.</p>@endif
        <div class="cylinders">@include('refrigerant.mark', ['mark' => $page->mark])</div>
        @if ($page->mark->mark() === Metrum\Findings\Mark::Act)<p class="caution">● Liquid-full when hot: it may burst.
            Keep it cool and transfer some to another cylinder.</p>@endif
        <form class="sheet" method="post" action="{{ route('cylinders.weigh', $page->cylinder) }}" novalidate>@csrf
            <input type="hidden" name="id" value="{{ strtoupper((string) str()->ulid()) }}">
            <h2>Weighing outside a visit</h2>
            <x-field name="gross" label="Weight now (gross)" :value="old('gross')"
                :unit="$page->units->symbol(Metrum\Quantity\QuantityKind::Mass)" inputmode="decimal"
                autocomplete="off" />
            <div class="field-row"><label for="f-why">Reason</label><select id="f-why" name="why"
                class="input">@foreach (App\Models\StockMove::WHY as $why => $label)<option value="{{ $why }}"
                @selected(old('why', 'counted') === $why)>{{ $label }}</option>@endforeach</select></div>
            <x-field name="note" label="Note" :value="old('note')" />
            <p class="actions"><button class="btn">Save</button></p>
            <p class="hint">Log charging and recovery at the visit; both ledgers are updated.</p>
        </form>
        <section aria-labelledby="h-happened"><h2 id="h-happened">History</h2>
            <div class="scrolls" tabindex="0" role="region" aria-label="Its movements"><table
                class="ledger"><tbody>@foreach ($page->happened() as [$at, $amount, $what, $move])<tr>
                    <td>{{ $at->format('j M Y H:i') }}</td><td
                class="num">{{ $amount }}</td><td>{{ $what }}</td><td>@if ($move !== null
                && $move->taken_back_at === null && auth()->user()->can('undo', $move))<form class="inline"
                method="post" action="{{ route('cylinders.undo', [$page->cylinder, $move]) }}">@csrf<button
                class="plain">Undo</button></form>@endif</td></tr>@endforeach</tbody></table></div>
        </section>
    </main>
</x-layout>
