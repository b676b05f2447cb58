<?php

// A path that is not absolute is meant from the project's folder, wherever a command or a page is run from.
$named = env('DB_DATABASE', 'database/metrum.sqlite');
$isWhole = $named === ':memory:' || str_starts_with($named, '/');

return [
    'default' => env('DB_CONNECTION', 'sqlite'),
    // Held in shares by whoever writes, whole by whoever brings a copy back.
    'writers_lock' => storage_path('framework/writers.lock'),
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => $isWhole ? $named : base_path($named),
            'prefix' => '',
            'foreign_key_constraints' => true,
            // Several people write at once: readers are never blocked, a writer waits five seconds for its turn.
            'busy_timeout' => 5000,
            'journal_mode' => 'wal',
            'synchronous' => 'normal',
        ],
        'pgsql' => [
            'driver' => 'pgsql',
            'url' => env('DB_URL'),
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '5432'),
            'database' => env('DB_DATABASE', 'metrum'),
            'username' => env('DB_USERNAME', 'metrum'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8',
            'prefix' => '',
            'search_path' => 'public',
        ],
    ],
];
