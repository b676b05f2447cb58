<?php

// Router of the built-in server for bench/pages: the application as it is, and beside it one empty Laravel route.

use Illuminate\Foundation\Application;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Route;

if (parse_url($_SERVER['REQUEST_URI'], PHP_URL_PATH) !== '/bench-empty') {
    return require __DIR__.'/../../vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php';
}
define('LARAVEL_START', microtime(true));
require __DIR__.'/../../vendor/autoload.php';
/** @var Application $app */
$app = require __DIR__.'/../../bootstrap/app.php';
$app->booted(static fn () => Route::middleware('web')->get('/bench-empty', static fn (): string => ''));
$app->handleRequest(Request::capture());
