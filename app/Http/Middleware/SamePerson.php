<?php

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What one person made on a device is not taken from another who signed in there since: it stays with its maker. */
final class SamePerson
{
    public const HEADER = 'X-Made-By';

    public function handle(Request $request, Closure $next): Response
    {
        $maker = $request->header(self::HEADER);
        abort_if(
            $maker !== null && $request->user() !== null && $maker !== $request->user()->getAuthIdentifier(),
            409,
            'Someone else is signed in on this device. The entry is held for the person who made it.',
        );

        return $next($request);
    }
}
