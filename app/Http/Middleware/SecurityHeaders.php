<?php

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

final class SecurityHeaders
{
    /** Nothing is loaded from elsewhere, and no script or style stands in a page. */
    private const POLICY = [
        "default-src 'none'",
        "script-src 'self'",
        "style-src 'self'",
        "font-src 'self'",
        "img-src 'self' data:",
        "connect-src 'self'",
        "form-action 'self'",
        "base-uri 'none'",
        "frame-ancestors 'none'",
        "manifest-src 'self'",
        "worker-src 'self'",
    ];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        if (str_starts_with((string) $response->headers->get('Content-Type', 'text/html'), 'text/html')) {
            // Going back must show the visit as it stands, not as it stood.
            $response->headers->set('Cache-Control', 'no-store, private');
        }
        if (! headers_sent()) {
            header_remove('X-Powered-By');
        }
        $response->headers->add([
            'Content-Security-Policy' => implode('; ', self::POLICY),
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'same-origin',
            'X-Frame-Options' => 'DENY',
            'Permissions-Policy' => 'camera=(), microphone=(), geolocation=()',
            'Cross-Origin-Opener-Policy' => 'same-origin',
        ]);

        return $response;
    }
}
