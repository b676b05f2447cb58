<x-layout title="Settings" where="Settings">
    <main id="main" class="page">
        <h1>Settings</h1>
        <form method="post" action="{{ route('settings') }}" novalidate>
            @csrf @method('put')
            <div class="sheet">
                <h2>Yours</h2>
                <div class="grid-fields">
                    <x-pick name="temperature" label="Temperature" :options="['c' => '°C and K', 'f' => '°F']" :value="old('temperature', $user->units()->temperature->value)" :empty="false" />
                    <x-pick name="pressure" label="Pressure" :options="['bar' => 'bar', 'kpa' => 'kPa', 'psi' => 'psi']" :value="old('pressure', $user->units()->pressure->value)" :empty="false" />
                    <x-pick name="mass" label="Mass" :options="['kg' => 'kg', 'lb' => 'lb']" :value="old('mass', $user->units()->mass->value)" :empty="false" />
                    <x-pick name="theme" label="Theme" :options="['auto' => 'as the device', 'paper' => 'paper (light)', 'cold' => 'cold room (dark)']" :value="old('theme', $user->theme())" :empty="false" />
                </div>
                <p class="hint">Whatever unit is typed behind a figure is understood; these are what stands there when none is typed.</p>
            </div>
            <h2>House rules of the workshop</h2>
            <p class="soft">Where the trade disagrees. The plate and the maker go first; a rule stands where they are silent. Every report says which were in force.</p>
            <div class="rules">
            @foreach ($rules as $rule)
                @php($key = $rule->value)
                @php($row = $rule->row())
                @php($school = old('rules.'.$key, $inForce->schoolOf($rule) ?? 'own'))
                <fieldset class="sheet rule">
                    <legend>{{ $row->label }}</legend>
                    @foreach ($row->schools as $one)
                        <label class="school"><input type="radio" name="rules[{{ $key }}]" value="{{ $one->id }}" @checked($school === $one->id)><span><b>{{ $one->name }}</b>@if ($row->default === $one)<i> default</i>@endif<small>{{ $one->reason }}</small></span></label>
                    @endforeach
                    @if ($row->field !== null)
                        @php($own = $inForce->ownBand($rule))
                        <label class="school"><input type="radio" name="rules[{{ $key }}]" value="own" @checked($school === 'own')><span><b>Own band</b><span class="own"><input name="own[{{ $key }}][low]" aria-label="{{ $row->label }}, from" value="{{ old("own.$key.low", $own[0] ?? '') }}" inputmode="decimal"> to <input name="own[{{ $key }}][high]" aria-label="{{ $row->label }}, to" value="{{ old("own.$key.high", $own[1] ?? '') }}" inputmode="decimal"> {{ $row->field->fileUnit()->symbol() }}</span></span></label>
                    @endif
                    @error('rules.'.$key)<p class="error" role="alert">{{ $message }}</p>@enderror
                </fieldset>
            @endforeach
            </div>
            <p class="actions sticky"><button class="btn">Save</button></p>
        </form>
    </main>
</x-layout>
