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
        // What was taken here and is not sent yet lies in the page alone.
        "img-src 'self' data: blob:",
        "media-src 'self' blob:",
        "connect-src 'self'",
        "form-action 'self'",
        "base-uri 'none'",
        "frame-ancestors 'none'",
        "manifest-src 'self'",
        // Where a browser has no recorder of its own, the one that stands in for it works in a blob.
        "worker-src 'self' blob:",
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
            'Permissions-Policy' => 'camera=(self), microphone=(self), geolocation=()',
            'Cross-Origin-Opener-Policy' => 'same-origin',
        ]);

        return $response;
    }
}
