<?php

/** The application in PHP's own server, and somebody signed in who asks it. */
final class Server
{
    private readonly Browser $browser;

    /** @param  array<string, string>  $environment */
    public function __construct(string $root, array $environment)
    {
        $port = 8900 + (getmypid() % 90);
        self::start($root, $port, ['PHP_CLI_SERVER_WORKERS' => '2'] + $environment);
        $this->browser = new Browser($port);
    }

    /**
     * Serves the application until the process ends.
     *
     * @param  array<string, string>  $environment
     */
    public static function start(string $root, int $port, array $environment): void
    {
        $settings = ['-d', 'opcache.enable_cli=1', '-d', 'variables_order=EGPCS'];
        $nowhere = ['file', '/dev/null', 'w'];
        $server = proc_open(
            ['php', ...$settings, '-S', "127.0.0.1:$port", $root.'/bench/support/router.php'],
            [1 => $nowhere, 2 => $nowhere],
            $pipes,
            $root.'/public',
            ['APP_URL' => "http://127.0.0.1:$port"] + $environment,
        );
        register_shutdown_function(static function () use ($server): void {
            // Its workers outlive it otherwise.
            exec('pkill -P '.proc_get_status($server)['pid']);
            proc_terminate($server);
        });
        $first = new Browser($port);
        for ($try = 0; $try < 100 && $first->ask('/sign-in')->status !== 200; $try++) {
            usleep(100_000);
        }
    }

    public function signIn(string $email, string $password): void
    {
        $this->browser->signIn($email, $password);
    }

    /** Opens a page whose forms are sent from now on. */
    public function enter(string $path): void
    {
        $this->browser->enter($path);
    }

    /** What the first parentheses of a pattern match on a page. */
    public function find(string $path, string $pattern): string
    {
        return $this->browser->find($path, $pattern);
    }

    /** @return float ms */
    public function get(string $path): float
    {
        return $this->time($path);
    }

    /**
     * @param  array<string, string>  $form
     * @return float ms
     */
    public function post(string $path, array $form): float
    {
        return $this->time($path, $form);
    }

    /** @param  ?array<string, string>  $form */
    private function time(string $path, ?array $form = null): float
    {
        $began = hrtime(true);
        $heard = $this->browser->ask($path, $form);
        $taken = (hrtime(true) - $began) / 1e6;

        return $heard->status === 200 ? $taken : exit("$path answered $heard->status.\n");
    }
}
