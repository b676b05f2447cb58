@php($units = auth()->user()->units())
@php($mass = $units->symbol(Metrum\Quantity\QuantityKind::Mass))
<x-layout title="{{ $cylinder->exists ? 'Cylinder '.$cylinder->label : 'New cylinder' }}" where="Refrigerant">
    <main id="main" class="narrow">
        <h1>{{ $cylinder->exists ? 'Cylinder '.$cylinder->label : 'New cylinder' }}</h1>
        <form method="post" action="{{ $cylinder->exists ? route('cylinders.update', $cylinder)
            : route('cylinders.store') }}" class="sheet" novalidate>
            @csrf @if ($cylinder->exists) @method('put') @else <input type="hidden" name="id"
                value="{{ old('id', strtoupper((string) str()->ulid())) }}"> @endif
            <x-field name="label" label="Cylinder number" :value="old('label', $cylinder->label)"
                autofocus />
            <div class="field-row"><label for="f-refrigerant">Refrigerant</label><select id="f-refrigerant"
                name="refrigerant" class="input">@foreach (Metrum\Refrigerant\Library::known()->names() as $name)<option
                @selected(old('refrigerant', $cylinder->refrigerant ?? 'R-448A') ===
                $name)>{{ $name }}</option>@endforeach</select>@error('refrigerant')<p class="error"
                role="alert">{{ $message }}</p>@enderror</div>
            <div class="field-row"><label for="f-kind">Contents</label><select id="f-kind" name="is_recovered"
                class="input"><option value="0">new refrigerant</option><option value="1"
                @selected((bool) old('is_recovered', $cylinder->is_recovered))>recovered
                refrigerant</option></select></div>
            <x-field name="tare" label="Tare, as stamped" :value="old('tare', $cylinder->exists
                ? $units->number($cylinder->tare, Metrum\Quantity\QuantityKind::Mass) : '')" :unit="$mass"
                inputmode="decimal" />
            <x-field name="water" label="Water capacity, as stamped" :value="old('water', $cylinder->exists
                ? $units->number($cylinder->water, Metrum\Quantity\QuantityKind::Volume) : '')"
                :unit="$units->symbol(Metrum\Quantity\QuantityKind::Volume)" inputmode="decimal" />
            @if (! $cylinder->exists)<x-field name="gross" label="Weight now (gross)" :value="old('gross')"
                :unit="$mass"
                inputmode="decimal" hint="Leave empty if the cylinder is empty." />@endif
            <x-field name="note" label="Note" :value="old('note', $cylinder->note)" />
            <p class="actions"><button class="btn">Save</button> <a class="btn quiet"
                href="{{ route('stock') }}">Cancel</a></p>
        </form>
    </main>
</x-layout>
