<x-layout title="Sign in">
    <main id="main" class="narrow">
        <h1>Sign in</h1>
        <form method="post" action="/sign-in" class="sheet" novalidate>
            @csrf
            <x-field name="email" label="E-mail address" type="email" autocomplete="username"
                :value="old('email', $email ?? '')" autofocus />
            <x-field name="password" label="Password" type="password" autocomplete="current-password" />
            <p><label class="tick"><input type="checkbox" name="remember" value="1" @checked(old('remember'))> Stay
                signed in on this device</label></p>
            <button class="btn">Sign in</button>
        </form>
        <p class="small soft">For licensed refrigeration technicians. The nameplate, the manufacturer's instructions
            and local codes take precedence over this app.</p>
    </main>
</x-layout>
