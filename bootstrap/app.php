<?php

use App\Http\Middleware\PlainInput;
use App\Http\Middleware\QuietOutbox;
use App\Http\Middleware\SamePerson;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\ShutOut;
use App\Http\Middleware\WritersTurn;
use App\Http\NotWritable;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
        health: '/up',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class);
        $middleware->append(SecurityHeaders::class);
        // Before anything is trimmed or turned: what was sent is looked at as it came.
        $middleware->prepend(PlainInput::class);
        // Somebody whose password was changed, or who was shut out, is out everywhere.
        $middleware->authenticateSessions();
        $middleware->web(prepend: [WritersTurn::class, QuietOutbox::class], append: [ShutOut::class, SamePerson::class]);
        $middleware->trustHosts(
            at: static fn (): array => [
                '^'.preg_quote((string) parse_url((string) config('app.url'), PHP_URL_HOST)).'$',
            ],
            subdomains: false,
        );
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->map(PDOException::class, NotWritable::orItself(...));
        $exceptions->map(ErrorException::class, NotWritable::orTheFile(...));
    })
    ->create();
