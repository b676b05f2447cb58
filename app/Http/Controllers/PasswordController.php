<?php

namespace App\Http\Controllers;

use App\Http\Requests\PasswordRules;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

final class PasswordController extends Controller
{
    /** Changes one's own password; whoever is signed in with the old one elsewhere is out. */
    public function update(Request $request): RedirectResponse
    {
        $chosen = $request->validate(
            ['current' => ['required', 'current_password'], 'password' => PasswordRules::NEW],
            ['current.*' => 'That is not the present password.'] + PasswordRules::MESSAGES,
        );
        $user = $request->user();
        $user->update(['password' => $chosen['password']]);
        $user->setRememberToken(null);
        $user->save();
        // This session goes on under the new one; the framework ends all that hold the old.
        Auth::login($user);
        $request->session()->regenerate();

        return redirect()->route('settings')->with('said', 'Password changed. Other devices are signed out.');
    }
}
