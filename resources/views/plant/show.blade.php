<x-layout title="Simulator: {{ $title }}">
    <x-slot:where>@if ($circuit)<a href="{{ route('sites.show', $circuit->site) }}">{{ $circuit->site->name }}</a> /
        <a href="{{ route('circuits.show', $circuit) }}"><b>{{ $circuit->name }}</b></a>@else<b>{{ $title }}</b>,
        {{ $bench->sound->circuit->refrigerant }}@endif</x-slot:where>
    <main id="main" class="plant-bench">
        <form id="plant-set" class="plant-set" method="get" action="{{ $at }}" aria-label="Conditions"
            hx-get="{{ $at }}" hx-trigger="change, submit" hx-target="#answer" hx-swap="outerHTML"
                hx-sync="this:queue last">
            <h1>Simulator<span class="of">: {{ $title }}</span></h1>
            <p class="hint">This system's twin. Empty fields: design values.</p>
            @unless ($circuit)<details class="fold"><summary>Other types</summary>@include('plant.samples')</details>
            @endunless
            <fieldset><legend>Conditions</legend>
                @include('plant.field', ['key' => 'ambient', 'usual' =>
                    $bench->units->number($bench->sound->design->ambient, Metrum\Quantity\QuantityKind::Temperature)])
                @include('plant.field', ['key' => 'box', 'usual' => $bench->units->number($bench->sound->design->box,
                    Metrum\Quantity\QuantityKind::Temperature)])
                @include('plant.field', ['key' => 'load', 'usual' => 'free'])
            </fieldset>
            <fieldset><legend>Changes made</legend>
                @include('plant.field', ['key' => 'added', 'usual' => '0'])
                @include('plant.field', ['key' => 'turns', 'usual' => '0'])
                @if ($bench->sound->regulatorSetting !== null)@include('plant.field', ['key' => 'regulator', 'usual'
                    => '0'])@endif
            </fieldset>
            <fieldset><legend>Fouling</legend>
                @include('plant.field', ['key' => 'coil', 'usual' => '0'])
                @include('plant.field', ['key' => 'condenser', 'usual' => '0'])
            </fieldset>
            <fieldset><legend>Faults</legend>
                @foreach (['', '2'] as $which)
                    <div class="plant-fault">
                        <select name="fault{{ $which }}" aria-label="{{ $which === '' ? 'Fault'
                            : 'Second fault' }}"><option value="">{{ $which === '' ? 'No fault' : 'No second fault'
                                }}</option>@foreach ($bench->faults() as $word => $name)<option
                            value="{{ $word }}" @selected($bench->inputs->typed('fault'.$which) ===
                            $word)>{{ $name }}</option>@endforeach</select>
                        <select name="severity{{ $which }}" aria-label="{{ $which === '' ? 'Severity'
                            : 'Severity of the second fault' }}">
                                @foreach (App\View\BenchInputs::SEVERITIES as $value => $word)<option
                            value="{{ $value }}" @selected(($bench->inputs->typed('severity'.$which) ?: '60') ===
                            (string) $value)>{{ $word }}</option>@endforeach</select>
                    </div>
                @endforeach
            </fieldset>
            <p class="plant-acts"><button class="btn">Calculate</button> <a class="btn quiet" href="{{ $at }}">Reset to
                design</a></p>
        </form>
        @include('plant.answer')
    </main>
</x-layout>
