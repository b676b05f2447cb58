<x-layout title="People" where="People">
    <main id="main" class="page">
        <h1>People</h1>
        @if (session('invited'))
            <section class="sheet" role="status" aria-labelledby="h-link">
                <h2 id="h-link">Invitation link for {{ session('invited')['name'] }}</h2>
                <p>Send it yourself. It works once, within {{ App\Records\Invitation::DAYS }} days; whoever opens it
                    sets the password.</p>
                <input class="link" aria-label="Link" readonly value="{{ session('invited')['link'] }}">
            </section>
        @endif
        @foreach ($people as $person)
            <div class="row-link person">
                <span class="grow"><b>{{ $person->name }}</b><small>{{ $person->email }}{{ $person->isDisabled()
                    ? ' · deactivated '.$person->disabled_at->format('j M Y') : '' }}</small></span>
                @can('update', $person)
                    <form class="inline" method="post" action="{{ route('people.update', $person) }}">@csrf
                        @method('put')
                        <label class="sr" for="role-{{ $person->id }}">{{ $person->name }} is</label>
                        <select id="role-{{ $person->id }}"
                            name="role">@foreach (App\Models\User::ROLES as $role => $words)<option
                            value="{{ $role }}" @selected($person->role ===
                            $role)>{{ $words }}</option>@endforeach</select>
                        <button class="btn quiet">Save</button>
                    </form>
                    <form class="inline" method="post" action="{{ route('people.invite', $person) }}">@csrf<button
                        class="btn quiet">New link</button></form>
                    <form class="inline" method="post" action="{{ route('people.update', $person) }}">@csrf
                        @method('put')<button class="btn quiet" name="disabled" value="{{ $person->isDisabled() ? 0
                        : 1 }}">{{ $person->isDisabled() ? 'Reactivate' : 'Deactivate' }}</button></form>
                @else
                    <span class="when">{{ App\Models\User::ROLES[$person->role] }} · you</span>
                @endcan
            </div>
        @endforeach
        <section class="sheet" aria-labelledby="h-invite">
            <h2 id="h-invite">Invite someone</h2>
            <form method="post" action="{{ route('people') }}" class="grid-fields" novalidate>
                @csrf
                <x-field name="name" label="Name, as shown in reports" :value="old('name')" />
                <x-field name="email" label="E-mail address" type="email" :value="old('email')" autocomplete="off" />
                <x-pick name="role" label="As" :options="App\Models\User::ROLES" :value="old('role', 'technician')"
                    :empty="false"
                        hint="Technician: own visits, all sites. Lead: all visits, reopens closed ones, manages people
                        and house rules."
                    />
                <p class="actions"><button class="btn">Create link</button></p>
            </form>
        </section>
    </main>
</x-layout>
