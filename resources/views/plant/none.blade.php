<x-layout title="Plant bench: {{ $circuit->name }}">
    <x-slot:where><a href="{{ route('sites.show', $circuit->site) }}">{{ $circuit->site->name }}</a> / <a
        href="{{ route('circuits.show', $circuit) }}"><b>{{ $circuit->name }}</b></a></x-slot:where>
    <main id="main" class="page">
        <h1>Plant bench</h1>
        <p class="error" role="alert">{{ $reason }}</p>
        <p>Such a plant cannot be simulated. Visits to it are judged by design values and house rules until it is
            changed.</p>
        <p class="actions"><a class="btn" href="{{ route('circuits.edit', $circuit) }}">Change the circuit</a></p>
    </main>
</x-layout>
