<?php

/** The application in PHP's own server, and somebody who asks it. */
final class Server
{
    private readonly int $port;

    /** @var array<string, string> */
    private array $cookies = [];

    private string $token = '';

    /** Seconds for which an answer is waited for. */
    private const PATIENCE = 20;

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
        $cookies = array_map(
            static fn (string $name, string $value): string => "$name=$value",
            array_keys($this->cookies),
            $this->cookies,
        );
        $headers = ['Cookie: '.implode('; ', $cookies), 'Connection: close'];
        if ($form !== null) {
            array_push($headers, 'X-Requested-With: XMLHttpRequest', 'Content-Type: application/x-www-form-urlencoded');
        }
        $http = [
            'method' => $form === null ? 'GET' : 'POST',
            'header' => $headers,
            'content' => $form === null ? '' : http_build_query($form),
            'follow_location' => 0,
            'ignore_errors' => true,
            'timeout' => self::PATIENCE,
        ];
        $began = hrtime(true);
        $url = "http://127.0.0.1:$this->port$path";
        // Nothing is heard of a server that is not there yet.
        $http_response_header = [];
        $body = (string) @file_get_contents($url, false, stream_context_create(['http' => $http]));
        $taken = (hrtime(true) - $began) / 1e6;
        $status = 0;
        foreach ($http_response_header as $line) {
            if (preg_match('~^HTTP/\S+ (\d+)~', $line, $is) === 1) {
                $status = (int) $is[1];
            }
            if (preg_match('/^Set-Cookie: ([^=]+)=([^;]*)/i', $line, $is) === 1) {
                $this->cookies[$is[1]] = $is[2];
            }
        }

        return [$status, $taken, $body];
    }
}
