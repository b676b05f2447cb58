<?php

namespace App\Http\Controllers;

use App\Http\Requests\SignInRequest;
use App\Models\User;
use App\Records\SignInGuard;
use Illuminate\Contracts\View\View as Page;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\View;
use Illuminate\Support\MessageBag;
use Illuminate\Support\Str;
use Illuminate\Support\ViewErrorBag;
use Illuminate\Validation\ValidationException;

final class SessionController extends Controller
{
    /** The cookie of a device on which somebody has signed in. */
    private const KNOWN_DEVICE = 'metrum_known';

    private const A_YEAR = 60 * 24 * 365;

    public function create(): Page
    {
        return view('session.create');
    }

    public function store(SignInRequest $request, SignInGuard $guard): RedirectResponse|Response
    {
        $email = $request->email();
        $source = (string) $request->ip();
        $user = User::query()->where('email', $email)->first();
        $isKnownDevice = $user !== null && $request->cookie(self::KNOWN_DEVICE) === SignInGuard::mark($user);
        $wait = $guard->wait($email, $source, $isKnownDevice);
        if ($wait > 0) {
            return self::tooMany($email, $wait);
        }
        // An address that is not known takes as long as one that is.
        $fits = Hash::check($request->password(), $user->password ?? self::nobody());
        if ($user === null || ! $fits) {
            throw self::refused('Wrong e-mail address or password.');
        }
        if ($user->isDisabled()) {
            throw self::refused('This account is deactivated. A lead can reactivate it.');
        }
        $guard->succeeded($email, $source, $isKnownDevice);
        Auth::login($user, $request->boolean('remember'));
        $request->session()->regenerate();
        Cookie::queue(Cookie::make(self::KNOWN_DEVICE, SignInGuard::mark($user), self::A_YEAR));

        return redirect()->intended('/');
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/sign-in');
    }

    /** The form again, with what was typed in it. */
    private static function tooMany(string $email, int $wait): Response
    {
        $why = new MessageBag(['email' => "Too many attempts. Try again in $wait s."]);
        View::share('errors', (new ViewErrorBag())->put('default', $why));

        return response()->view('session.create', ['email' => $email], 429);
    }

    private static function refused(string $why): ValidationException
    {
        return ValidationException::withMessages(['email' => $why])->redirectTo(route('sign-in'));
    }

    /** A hash that no password has, made as those of people are. */
    private static function nobody(): string
    {
        static $hash = null;

        return $hash ??= Hash::make(Str::random(32));
    }
}
