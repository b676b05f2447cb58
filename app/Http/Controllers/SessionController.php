<?php

namespace App\Http\Controllers;

use App\Http\Requests\SignInRequest;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

final class SessionController extends Controller
{
    public function create(): View
    {
        return view('session.create');
    }

    public function store(SignInRequest $request): RedirectResponse
    {
        if (! Auth::attempt($request->credentials(), remember: true)) {
            return back()
                ->withInput($request->only('email'))
                ->withErrors(['email' => 'This address and password do not belong together.']);
        }
        $request->session()->regenerate();

        return redirect()->intended('/');
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/sign-in');
    }
}
