<?php

namespace App\Http\Middleware;

use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Somebody who was shut out is out with the next request, wherever they are signed in. */
final class ShutOut
{
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->user()?->isDisabled() === true) {
            Auth::logout();
            $request->session()->invalidate();
            throw new AuthenticationException();
        }

        return $next($request);
    }
}
