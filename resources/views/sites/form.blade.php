<x-layout title="{{ $site->exists ? $site->name : 'New site' }}" where="{{ $site->exists ? $site->name : 'New site' }}">
    <main id="main" class="narrow">
        <h1>{{ $site->exists ? $site->name : 'New site' }}</h1>
        <form method="post" action="{{ $site->exists ? route('sites.update', $site) : route('sites.store') }}"
            class="sheet" novalidate>
            @csrf @if ($site->exists) @method('put') @endif
            <x-field name="name" label="Name" :value="old('name', $site->name)" autofocus />
            <x-field name="place" label="Location" :value="old('place', $site->place)" />
            <x-field name="altitude" label="Elevation" :value="old('altitude', $site->exists
                ? $site->height() : '')" unit="m"
                hint="Feet also accepted, e.g. 6200 ft. Leave empty for sea level." />
            <x-field name="contact" label="Contact" :value="old('contact', $site->contact)" />
            <x-pick name="language" label="Language of the owner's report" :options="Metrum\Language\Tongue::KNOWN"
                :value="old('language', $site->language)" :empty="false" />
            <p class="actions"><button class="btn">Save</button> <a class="btn quiet"
                href="{{ $site->exists ? route('sites.show', $site) : route('sites.index') }}">Cancel</a></p>
        </form>
    </main>
</x-layout>
