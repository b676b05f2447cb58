@php($choices = App\Records\CircuitSheet::choices())
@php($units = auth()->user()->units())
<x-layout title="{{ $circuit->exists ? $circuit->name : 'New circuit' }}" where="{{ $site->name }}">
    <main id="main" class="page">
        <h1>{{ $circuit->exists ? $circuit->name : 'New circuit at '.$site->name }}</h1>
        @unless ($circuit->exists)
            <form method="get" class="kind-first">
                <label for="k">Defaults for</label>
                <select id="k" name="kind">@foreach ($choices['kind'] as $word => $text)<option value="{{ $word }}" @selected($kind->value === $word)>{{ $text }}</option>@endforeach</select>
                <button class="btn quiet">Fill in</button>
            </form>
        @endunless
        <form method="post" action="{{ $circuit->exists ? route('circuits.update', $circuit) : route('sites.circuits.store', $site) }}" class="sheet" novalidate>
            @csrf @if ($circuit->exists) @method('put') @endif
            <x-field name="name" label="Name, as on its label" :value="old('name', $circuit->name)" />
            <fieldset class="grid-fields"><legend>System</legend>
                @foreach ($choices as $key => $words)
                    <x-pick :name="$key" :label="App\Records\CircuitSheet::LABELS[$key]" :options="$words" :value="old($key, $circuit->system[$key] ?? '')" :hint="isset($usual['system'][$key]) && $key !== 'kind' ? 'usual: '.($words[$usual['system'][$key]] ?? '') : null" />
                @endforeach
                @foreach (App\Records\CircuitSheet::FLAGS as $key)
                    <x-pick :name="$key" :label="App\Records\CircuitSheet::LABELS[$key]" :options="['yes' => 'Yes', 'no' => 'No']" :value="old($key, isset($circuit->system[$key]) ? ($circuit->system[$key] ? 'yes' : 'no') : '')" :hint="'usual: '.($usual['system'][$key] ? 'yes' : 'no')" />
                @endforeach
            </fieldset>
            <fieldset class="grid-fields"><legend>Design values: plate and plan first; empty means the house rule stands</legend>
                @foreach (App\Records\CircuitSheet::DESIGN_LABELS as $key => $label)
                    @php($quantity = Metrum\Exchange\DesignUnits::quantity($key))
                    <x-field :name="$key" :label="$label" :unit="$units->symbol($quantity)" inputmode="text"
                        :value="old($key, isset($circuit->design[$key]) ? $units->number(Metrum\Exchange\DesignUnits::of($key)->toSi($circuit->design[$key]), $quantity) : '')"
                        :hint="isset($usual['design'][$key]) ? 'usual: '.$units->number(Metrum\Exchange\DesignUnits::of($key)->toSi($usual['design'][$key]), $quantity) : null" />
                @endforeach
            </fieldset>
            <div class="field-row"><label for="f-notes">Weak points, marks, ports that are safe to use</label><textarea id="f-notes" name="notes" rows="3">{{ old('notes', $circuit->notes) }}</textarea></div>
            <p class="actions"><button class="btn">Save</button> <a class="btn quiet" href="{{ $circuit->exists ? route('circuits.show', $circuit) : route('sites.show', $site) }}">Cancel</a></p>
        </form>
    </main>
</x-layout>
