<x-layout title="Pressure and temperature">
    <div class="bench-page">
        @include('bench.list', ['visit' => $page->from])
        <main id="main">
            <h1>Pressure and temperature</h1>
            @if ($page->from !== null)<p class="soft">Refrigerant and elevation <a
                href="{{ route('visits.show', [$page->from, 'gauges']) }}">from the visit</a>; anything you type
                    replaces them.</p>@endif
            <div class="bench-work">
                <form id="bench-form" class="sheet" method="get" action="{{ route('saturation') }}"
                    hx-get="{{ route('saturation') }}" hx-trigger="input delay:120ms, submit"
                        hx-target="#bench-answer" hx-select="#bench-answer" hx-swap="outerHTML"
                        hx-sync="this:replace" novalidate>
                    @if ($page->from !== null)<input type="hidden" name="visit" value="{{ $page->from->id }}">@endif
                    <x-pick name="refrigerant" label="Refrigerant" :options="App\View\BenchPage::refrigerants()"
                        :value="$page->refrigerant" :empty="false" />
                    <x-field name="pressure" label="Gauge pressure" :value="$page->pressure"
                        :unit="auth()->user()->units()->pressure->symbol()" autocomplete="off" />
                    <x-field name="temperature" label="Temperature" :value="$page->temperature"
                        :unit="auth()->user()->units()->temperature->symbol()" autocomplete="off" />
                    <x-field name="altitude" label="Site elevation" :value="$page->altitude"
                        :unit="auth()->user()->units()->symbol(Metrum\Quantity\QuantityKind::Altitude)"
                        autocomplete="off" />
                    <p class="actions"><button class="btn">Calculate</button></p>
                </form>
                <section id="bench-answer" class="sheet" aria-live="polite" aria-labelledby="h-answer"><h2
                    id="h-answer">{{ $page->refrigerant }}, {{ $page->where() }}</h2>
                    @if ($page->wrongAltitude !== '')<p class="error">{{ $page->wrongAltitude }}</p>@endif
                    <dl class="bench-outputs">
                        @foreach ([...$page->ofPressure(), ...$page->ofTemperature()] as [$label, $value])<div>
                        <dt>{{ $label }}</dt><dd>{{ $value }}</dd></div>@endforeach</dl>
                    <x-picture.saturation :curves="$page->curves()" :glide="$page->ofPressure()[2][1] ?? ''" />
                    <table class="both"><tr><th>Temperature</th><th>Dew</th><th>Bubble</th></tr>
                        @foreach ($page->table() as [$temperature, $dew, $bubble])<tr><th
                        scope="row">{{ $temperature }}</th><td>{{ $dew }}</td><td>{{ $bubble }}</td></tr>@endforeach
                            </table>
                    <p class="hint">{{ $page->hasGlide() ?
                        'Blend with glide: superheat from dew, subcooling from bubble.'
                        : 'Dew and bubble are the same, or nearly so.' }}</p>
                </section>
            </div>
        </main>
    </div>
</x-layout>
