<x-layout title="{{ $site->name }}" where="{{ $site->name }}">
    <main id="main" class="page">
        <div class="page-head"><h1>{{ $site->name }}</h1><a class="btn quiet"
            href="{{ route('sites.tags', $site) }}">Tags</a><a class="btn quiet"
            href="{{ route('sites.edit', $site) }}">Edit</a></div>
        <dl class="facts">
            <div><dt>Location</dt><dd>{{ $site->place ?: 'not noted' }}</dd></div>
            <div><dt>Contact</dt><dd>{{ $site->contact ?: 'not noted' }}</dd></div>
            <div><dt>Elevation</dt><dd>{{ $site->height() }} m</dd></div>
            <div><dt>Atmospheric pressure</dt><dd>{{ auth()->user()->units()->text($site->atmosphere()->pascal,
                Metrum\Quantity\QuantityKind::AbsolutePressure) }} abs</dd></div>
        </dl>
        @foreach ($racks as $own)
            @php($plant = $own->first()->plant)
            <section class="of-rack" aria-labelledby="rack-{{ $plant->id }}">
                <div class="row-link"><div class="grow"><h2 id="rack-{{ $plant->id }}">{{ $plant->label() }}</h2><small>
                    {{ $own->first()->refrigerant() }} · {{ $own->count() }} circuits · <a
                    href="{{ route('defrost.show', $plant) }}">Defrost schedule</a></small></div>
                    <form method="post" action="{{ route('visits.store', $own->first()) }}">@csrf<button
                        class="btn">Start visit</button></form></div>
                <ul>@foreach ($own as $circuit)<li><a href="{{ route('circuits.show',
                    $circuit) }}">{{ $circuit->name }}</a></li>@endforeach</ul>
            </section>
        @endforeach
        <h2>Circuits</h2>
        @forelse ($circuits as $circuit)
            <div class="row-link">
                <a class="grow" href="{{ route('circuits.show',
                    $circuit) }}"><b>{{ $circuit->name }}</b><small>{{ $circuit->coolingKind()?->label()
                    ?? 'type not given' }} · {{ $circuit->refrigerant() }}</small></a>
                <span class="when">{{ $circuit->visits->isEmpty() ? 'no visit yet'
                    : 'last visit '.$circuit->visits->first()->opened_at->format('j M Y') }}</span>
                <form method="post" action="{{ route('visits.store', $circuit) }}">@csrf<button class="btn">Start
                    visit</button></form>
            </div>
        @empty
            <p class="empty">{{ $racks->isEmpty() ? 'No circuits at this site yet.' : 'No other circuits.' }}</p>
        @endforelse
        <p class="actions"><a class="btn" href="{{ route('sites.circuits.create', $site) }}">New circuit</a></p>
    </main>
</x-layout>
