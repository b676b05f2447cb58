<x-layout title="Sites" where="Sites">
    <main id="main" class="page">
        <h1>Sites</h1>
        @forelse ($sites as $site)
            <section class="sheet">
                <h2><a href="{{ route('sites.show', $site) }}">{{ $site->name }}</a></h2>
                <p class="soft">{{ $site->place }}</p>
                <ul class="inline-list">@foreach ($site->circuits as $circuit)<li><a
                    href="{{ route('circuits.show', $circuit) }}">{{ $circuit->name }}</a></li>@endforeach</ul>
            </section>
        @empty
            <p class="empty">No sites yet.</p>
        @endforelse
        <section>
            <h2>Sample systems for the simulator</h2>
            @include('plant.samples')
        </section>
        <p class="actions"><a class="btn" href="{{ route('sites.create') }}">New site</a> <a class="btn quiet"
            href="{{ route('import') }}">Import visit file</a></p>
    </main>
</x-layout>
