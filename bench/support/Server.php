<?php

/** The application in PHP's own server, and somebody who asks it. */
final class Server
{
    private readonly int $port;

    private readonly CurlHandle $curl;

    private string $token = '';

    /** @param  array<string, string>  $environment */
    public function __construct(string $root, array $environment)
    {
        $this->port = 8900 + (getmypid() % 90);
        $settings = ['-d', 'opcache.enable_cli=1', '-d', 'variables_order=EGPCS'];
        $nowhere = ['file', '/dev/null', 'w'];
        $server = proc_open(
            ['php', ...$settings, '-S', "127.0.0.1:$this->port", $root.'/bench/support/router.php'],
            [1 => $nowhere, 2 => $nowhere],
            $pipes,
            $root.'/public',
            ['APP_URL' => "http://127.0.0.1:$this->port", 'PHP_CLI_SERVER_WORKERS' => '2'] + $environment,
        );
        register_shutdown_function(static function () use ($server): void {
            // Its workers outlive it otherwise.
            exec('pkill -P '.proc_get_status($server)['pid']);
            proc_terminate($server);
        });
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_COOKIEFILE => '',
            CURLOPT_TIMEOUT => 20,
        ]);
        for ($try = 0; $try < 50 && $this->ask('/sign-in')[0] !== 200; $try++) {
            usleep(100_000);
        }
    }

    public function signIn(string $email, string $password): void
    {
        $this->enter('/sign-in');
        $this->ask('/sign-in', ['_token' => $this->token, 'email' => $email, 'password' => $password]);
    }

    /** Opens a page whose forms are sent from now on. */
    public function enter(string $path): void
    {
        $this->token = $this->find($path, '/csrf-token" content="([^"]+)"/');
    }

    /** What the first parentheses of a pattern match on a page. */
    public function find(string $path, string $pattern): string
    {
        [$status, , $body] = $this->ask($path);
        if (preg_match($pattern, $body, $found) !== 1) {
            exit("$path answered $status, without $pattern.\n");
        }

        return $found[1];
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
        return $this->time($path, ['_token' => $this->token] + $form);
    }

    /** @param  ?array<string, string>  $form */
    private function time(string $path, ?array $form = null): float
    {
        [$status, $milliseconds] = $this->ask($path, $form);

        return $status === 200 ? $milliseconds : exit("$path answered $status.\n");
    }

    /**
     * @param  ?array<string, string>  $form
     * @return array{int, float, string} status, ms, body
     */
    private function ask(string $path, ?array $form = null): array
    {
        curl_setopt($this->curl, CURLOPT_URL, "http://127.0.0.1:$this->port$path");
        curl_setopt($this->curl, CURLOPT_HTTPHEADER, $form === null ? [] : ['X-Requested-With: XMLHttpRequest']);
        curl_setopt_array(
            $this->curl,
            $form === null
                ? [CURLOPT_HTTPGET => true]
                : [CURLOPT_POST => true, CURLOPT_POSTFIELDS => http_build_query($form)],
        );
        $body = (string) curl_exec($this->curl);

        return [
            curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE),
            curl_getinfo($this->curl, CURLINFO_TOTAL_TIME) * 1e3,
            $body,
        ];
    }
}
