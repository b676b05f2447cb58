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
            @foreach ($rules as $key => $rule)
                @php($school = old('rules.'.$key, $inForce->schoolOf($key) ?? 'own'))
                <fieldset class="sheet rule">
                    <legend>{{ $rule['label'] }}</legend>
                    @foreach ($rule['schools'] as $one)
                        <label class="school"><input type="radio" name="rules[{{ $key }}]" value="{{ $one['id'] }}" @checked($school === $one['id'])><span><b>{{ $one['name'] }}</b>@if ($rule['default'] === $one['id'])<i> default</i>@endif<small>{{ $one['reason'] }}</small></span></label>
                    @endforeach
                    @if ($rule['unit'] !== '')
                        <label class="school"><input type="radio" name="rules[{{ $key }}]" value="own" @checked($school === 'own')><span><b>Own band</b><span class="own"><input name="own[{{ $key }}][low]" aria-label="{{ $rule['label'] }}, from" value="{{ old("own.$key.low", $inForce->schoolOf($key) === null ? $inForce->band($key)->low : '') }}" inputmode="decimal"> to <input name="own[{{ $key }}][high]" aria-label="{{ $rule['label'] }}, to" value="{{ old("own.$key.high", $inForce->schoolOf($key) === null ? $inForce->band($key)->high : '') }}" inputmode="decimal"> {{ ['k' => 'K', 'c' => '°C', 'min' => 'min'][$rule['unit']] }}</span></span></label>
                    @endif
                    @error('rules.'.$key)<p class="error" role="alert">{{ $message }}</p>@enderror
                </fieldset>
            @endforeach
            </div>
            <p class="actions sticky"><button class="btn">Save</button></p>
        </form>
    </main>
</x-layout>
