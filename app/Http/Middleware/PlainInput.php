<?php

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A field that was sent as a list, as no form here sends it, is an empty one: it is asked for again like any other. */
final class PlainInput
{
    /** Fields of the house rules' form, sent by rule. */
    private const BY_RULE = ['rules', 'own'];

    public function handle(Request $request, Closure $next): Response
    {
        foreach ([$request->request, $request->query] as $input) {
            foreach ($input->all() as $name => $value) {
                if (is_array($value) && ! in_array($name, self::BY_RULE, true)) {
                    $input->set($name, '');
                }
            }
        }

        return $next($request);
    }
}
