<?php

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A field that was sent as a list, as no form here sends it, is an empty one: it is asked for again like any other. */
final class PlainInput
{
    private const NO_TEXT = 'The entry contains unreadable characters. Nothing was saved.';

    /** Fields of the house rules' form, sent by rule. */
    private const BY_RULE = ['rules', 'own'];

    public function handle(Request $request, Closure $next): Response
    {
        abort_unless(self::isText(rawurldecode($request->getRequestUri())), 400, self::NO_TEXT);
        foreach ([$request->request, $request->query] as $input) {
            foreach ($input->all() as $name => $value) {
                abort_unless(self::isText($value), 400, self::NO_TEXT);
                if (is_array($value) && ! in_array($name, self::BY_RULE, true)) {
                    $input->set($name, '');
                }
            }
        }

        return $next($request);
    }

    /** Whether all of it can be kept as text: UTF-8, without NUL. */
    private static function isText(mixed $value): bool
    {
        if (is_array($value)) {
            foreach ($value as $one) {
                if (! self::isText($one)) {
                    return false;
                }
            }
        }

        return ! is_string($value) || (mb_check_encoding($value, 'UTF-8') && ! str_contains($value, "\0"));
    }
}
