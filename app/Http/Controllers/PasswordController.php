<?php

namespace App\Http\Controllers;

use App\Http\Requests\PasswordRules;
use App\Records\SignInGuard;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

final class PasswordController extends Controller
{
    /** The place from which the present password is tried, as the guard counts it. */
    private const SETTINGS = 'settings';

    /** Changes one's own password; whoever is signed in with the old one elsewhere is out. */
    public function update(Request $request, SignInGuard $guard): RedirectResponse
    {
        $email = $request->user()->email;
        $wait = $guard->wait($email, self::SETTINGS, false);
        if ($wait > 0) {
            return back()->withErrors(['current' => "Too many attempts. Try again in $wait s."]);
        }
        $chosen = $request->validate(
            ['current' => ['required', 'current_password'], 'password' => PasswordRules::NEW],
            ['current.*' => 'Current password is wrong.'] + PasswordRules::MESSAGES,
        );
        $guard->succeeded($email, self::SETTINGS, false);
        $user = $request->user();
        $user->update(['password' => $chosen['password']]);
        $user->setRememberToken(null);
        $user->save();
        // This session goes on under the new one; the framework ends all that hold the old.
        Auth::login($user);
        $request->session()->regenerate();

        return redirect()->route('settings')->with('said', 'Password changed. Your other devices are signed out.');
    }
}
