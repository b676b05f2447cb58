<?php

return [
    'driver' => env('SESSION_DRIVER', 'file'),
    'lifetime' => (int) env('SESSION_LIFETIME', 60 * 24 * 14),
    'cookie' => 'metrum_session',
    // Over plain HTTP only on the machine itself.
    'secure' => (bool) env(
        'SESSION_SECURE_COOKIE',
        ! in_array(env('APP_ENV', 'production'), ['local', 'testing'], true),
    ),
    'http_only' => true,
    'same_site' => 'lax',
];
