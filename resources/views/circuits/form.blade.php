@php($circuit = $form->circuit)
<x-layout title="{{ $circuit?->name ?? 'New circuit' }}" where="{{ $form->site->name }}">
    <main id="main" class="page">
        <h1>{{ $circuit?->name ?? 'New circuit at '.$form->site->name }}</h1>
        @if ($circuit === null)
            <form method="get" class="kind-first">
                <label for="k">Fill in defaults for</label>
                <select id="k" name="kind">@foreach (Metrum\Installation\SystemKey::Kind->choices() as $word => $text)
                    <option
                    value="{{ $word }}" @selected($form->kind->value === $word)>{{ $text }}</option>@endforeach</select>
                <button class="btn quiet">Fill in</button>
            </form>
        @endif
        <form method="post" action="{{ $circuit === null ? route('sites.circuits.store', $form->site)
            : route('circuits.update', $circuit) }}" class="sheet" novalidate>
            @csrf @if ($circuit !== null) @method('put') @endif
            <x-field name="name" label="Name, as labelled on site" :value="old('name', $circuit?->name)" />
            <fieldset class="grid-fields"><legend>System</legend>
                @foreach ($form->picks() as $key)
                    <x-pick :name="$key->value" :label="$key->label()" :options="$key->choices()"
                        :value="old($key->value, $form->word($key))" :hint="$form->usualWord($key)" />
                @endforeach
                @foreach ($form->flags() as $key)
                    <x-pick :name="$key->value" :label="$key->label()" :options="['yes' => 'Yes', 'no' => 'No']"
                        :value="old($key->value, $form->word($key))" :hint="$form->usualWord($key)" />
                @endforeach
            </fieldset>
            <fieldset class="grid-fields"><legend>Design values (nameplate or drawings). Empty: the house rule
                applies.</legend>
                @foreach ($form->planned() as $key)
                    <x-field :name="$key->value" :label="$key->field()->label"
                        :unit="$form->units->symbol($key->field()->kind)" inputmode="text"
                        :value="old($key->value, $form->figure($key))" :hint="$form->usualFigure($key)" />
                @endforeach
            </fieldset>
            <div class="field-row"><label for="f-notes">Weak points, position marks, ports safe to use</label><textarea
                id="f-notes" name="notes" rows="3">{{ old('notes',
                $circuit?->notes) }}</textarea></div>
            <p class="actions"><button class="btn">Save</button> <a class="btn quiet"
                href="{{ $circuit === null ? route('sites.show', $form->site) : route('circuits.show',
                $circuit) }}">Cancel</a></p>
        </form>
    </main>
</x-layout>
