<?php

declare(strict_types=1);

/**
 * The checks never touch the database of .env or of the shell: they run in memory, or, where
 * METRUM_TEST_POSTGRES_PORT is given, in the PostgreSQL server that bin/postgres started on that port.
 */
require __DIR__.'/../vendor/autoload.php';

$port = getenv('METRUM_TEST_POSTGRES_PORT');
$database =
    $port === false
        ? ['DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => ':memory:']
        : [
            'DB_CONNECTION' => 'pgsql',
            'DB_HOST' => '127.0.0.1',
            'DB_PORT' => $port,
            'DB_DATABASE' => 'metrum',
            'DB_USERNAME' => 'metrum',
            'DB_PASSWORD' => '',
        ];
foreach ($database as $name => $value) {
    putenv($name.'='.$value);
    $_ENV[$name] = $_SERVER[$name] = $value;
}
