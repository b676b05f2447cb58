<?php

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * What a device sends by itself opens no session: an answer that comes late would put its cookie over that of somebody
 * who signed in meanwhile, and sign them out again.
 */
final class QuietOutbox
{
    public function handle(Request $request, Closure $next): Response
    {
        $answer = $next($request);
        if ($request->headers->has(SamePerson::HEADER) && Auth::guest()) {
            $answer->headers->remove('Set-Cookie');
        }

        return $answer;
    }
}
