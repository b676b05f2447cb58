<x-layout title="Welcome">
    <main id="main" class="narrow">
        <h1>Welcome, {{ $user->name }}</h1>
        <form method="post" action="{{ request()->fullUrl() }}" class="sheet" novalidate>
            @csrf
            <p class="soft">You sign in as {{ $user->email }}.</p>
            <x-field name="password" label="Choose a password" type="password" autocomplete="new-password"
                hint="At least ten characters." autofocus />
            <x-field name="password_confirmation" label="The same again" type="password" autocomplete="new-password" />
            <button class="btn">Set it and go in</button>
        </form>
    </main>
</x-layout>
