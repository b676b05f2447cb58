<?php

namespace App\Http\Middleware;

use App\Http\NotWritable;
use App\Records\WritersLock;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** While a copy of the logbook is brought back nobody writes; devices keep what they have and send it after. */
final class WritersTurn
{
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->isMethodSafe()) {
            return $next($request);
        }
        if (! WritersLock::share()) {
            throw NotWritable::broughtBack();
        }
        try {
            return $next($request);
        } finally {
            WritersLock::release();
        }
    }
}
