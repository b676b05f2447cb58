<?php

namespace App\Http\Controllers;

use App\Http\Requests\PasswordRules;
use App\Models\User;
use App\Records\Invitation;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** Where an invitation leads: somebody chooses a password and is in. */
final class InvitationController extends Controller
{
    public function show(Request $request, User $user): View
    {
        self::check($request, $user);

        return view('people.invitation', ['user' => $user]);
    }

    public function store(Request $request, User $user): RedirectResponse
    {
        self::check($request, $user);
        $chosen = $request->validate(['password' => PasswordRules::NEW], PasswordRules::MESSAGES);
        $user->update(['password' => $chosen['password']]);
        Auth::login($user);
        $request->session()->regenerate();

        return redirect('/')->with('said', 'Welcome. Your password is set.');
    }

    private static function check(Request $request, User $user): void
    {
        $holds =
            $request->hasValidSignature() &&
            Invitation::to($user)->isSealedBy((string) $request->string('once'));
        abort_unless($holds, 403, 'This link was already used or has expired. Ask a lead for a new one.');
    }
}
