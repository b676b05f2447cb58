<x-layout title="Welcome">
    <main id="main" class="narrow">
        <h1>Welcome, {{ $user->name }}</h1>
        <form method="post" action="{{ request()->fullUrl() }}" class="sheet" novalidate>
            @csrf
            <p class="soft">Your sign-in is {{ $user->email }}.</p>
            <x-field name="password" label="Choose a password" type="password" autocomplete="new-password"
                hint="At least 10 characters." autofocus />
            <x-field name="password_confirmation" label="Repeat password" type="password" autocomplete="new-password" />
            <button class="btn">Set password and sign in</button>
        </form>
    </main>
</x-layout>
