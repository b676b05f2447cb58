<x-layout title="Simulator: {{ $circuit->name }}">
    <x-slot:where><a href="{{ route('sites.show', $circuit->site) }}">{{ $circuit->site->name }}</a> / <a
        href="{{ route('circuits.show', $circuit) }}"><b>{{ $circuit->name }}</b></a></x-slot:where>
    <main id="main" class="page">
        <h1>Simulator</h1>
        <p class="error" role="alert">{{ $reason }}</p>
        <p>This circuit cannot be simulated as entered. Visits use design values and house rules until it is
            corrected.</p>
        <p class="actions"><a class="btn" href="{{ route('circuits.edit', $circuit) }}">Edit the circuit</a></p>
    </main>
</x-layout>
