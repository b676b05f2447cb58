<x-layout title="Settings" where="Settings">
    <main id="main" class="page">
        <h1>Settings</h1>
        <form method="post" action="{{ route('settings') }}" novalidate>
            @csrf @method('put')
            <div class="sheet">
                <h2>Your units and theme</h2>
                <div class="grid-fields">
                    <x-pick name="temperature" label="Temperature" :options="['c' => '°C and K', 'f' => '°F']"
                        :value="old('temperature', $user->units()->temperature->value)" :empty="false" />
                    <x-pick name="pressure" label="Pressure" :options="['bar' => 'bar', 'kpa' => 'kPa', 'psi'
                        => 'psi']" :value="old('pressure', $user->units()->pressure->value)" :empty="false" />
                    <x-pick name="mass" label="Mass" :options="['kg' => 'kg', 'lb' => 'lb']"
                        :value="old('mass', $user->units()->mass->value)" :empty="false" />
                    <x-pick name="theme" label="Theme" :options="['auto' => 'Same as device', 'paper'
                        => 'Light', 'cold' => 'Dark']" :value="old('theme', $user->theme())"
                        :empty="false" />
                </div>
                <p class="hint">You can type any unit after a number. These units apply when you type none.</p>
            </div>
            <p class="actions"><button class="btn">Save</button></p>
        </form>
        @php($mayRule = Gate::allows('change-house-rules'))
        @include('settings.calendars')
        @include('settings.workshop')
        <form method="post" action="{{ route('settings.rules') }}" novalidate>
            @csrf @method('put')
            <h2>Workshop house rules</h2>
            <p class="soft">Used where the nameplate and manufacturer say nothing and practice differs. Every report
                lists the rules applied.@if (! $mayRule) Only a lead can change them.@endif</p>
            @foreach (Metrum\Knowledge\RuleGroup::cases() as $group)
            @php($ofGroup = array_filter($rules, fn ($rule) => $rule->row()->group === $group))
            @php($isWrong = fn ($rule) => $errors->has('rules.'.$rule->value))
        @php($hasOpen = $group === Metrum\Knowledge\RuleGroup::Wanted || array_filter($ofGroup, $isWrong) !== [])
            <details class="fold rule-group" @if ($hasOpen) open @endif><summary>{{ $group->label() }} <span
                class="soft">{{ count($ofGroup) }} rules</span></summary>
            <div class="rules">
            @foreach ($ofGroup as $rule)
                @php($key = $rule->value)
                @php($row = $rule->row())
                @php($school = old('rules.'.$key, $inForce->schoolOf($rule) ?? 'own'))
                <fieldset class="sheet rule" @disabled(! $mayRule)>
                    <legend>{{ $row->label }}</legend>
                    @foreach ($row->schools as $one)
                        <label class="school"><input type="radio" name="rules[{{ $key }}]" value="{{ $one->id }}"
                            @checked($school === $one->id)><span><b>@told($one->name)</b>
                            @if ($row->default ===
                                $one)<i>default</i>@endif<small>@told($one->reason)</small></span></label>
                    @endforeach
                    @if ($row->field !== null)
                        @php($own = $inForce->ownBand($rule))
                        <label class="school"><input type="radio" name="rules[{{ $key }}]" value="own"
                            @checked($school === 'own')><span><b>Custom range</b><span class="own"><input
                            name="own[{{ $key }}][low]" aria-label="{{ $row->label }}, from"
                            value="{{ old("own.$key.low", $own[0] ?? '') }}" inputmode="decimal"> to <input
                            name="own[{{ $key }}][high]" aria-label="{{ $row->label }}, to"
                            value="{{ old("own.$key.high", $own[1] ?? '') }}" inputmode="decimal">
                            {{ $row->field->fileUnit()->symbol() }}</span></span></label>
                    @endif
                    @error('rules.'.$key)<p class="error" role="alert">{{ $message }}</p>@enderror
                </fieldset>
            @endforeach
            </div>
            </details>
            @endforeach
            @if ($mayRule)<p class="actions sticky"><button class="btn">Save rules</button></p>@endif
        </form>
        <form method="post" action="{{ route('password') }}" class="sheet" novalidate>
            @csrf @method('put')
            <h2>Password</h2>
            <div class="grid-fields">
                <x-field name="current" label="Current password" type="password" autocomplete="current-password" />
                <x-field name="password" label="New password" type="password" autocomplete="new-password"
                    hint="At least 10 characters." />
                <x-field name="password_confirmation" label="Repeat new password" type="password"
                    autocomplete="new-password" />
            </div>
            <p class="actions"><button class="btn quiet">Change password</button> <span class="hint">This signs out
                your other devices.</span></p>
        </form>
        @can('viewAny', App\Models\User::class)
            <p class="actions"><a class="btn quiet" href="{{ route('people') }}">People</a></p>
        @endcan
    </main>
</x-layout>
