<?php

/** Asks a server at this machine for pages, as one who is signed in there; several at once where that is wanted. */
final class Browser
{
    /** Seconds for which an answer is waited for. */
    private const PATIENCE = 60;

    private const MOST_REDIRECTS = 5;

    /** @var array<string, string> */
    private array $cookies = [];

    private string $token = '';

    public function __construct(private readonly int $port)
    {
    }

    public function signIn(string $email, string $password): void
    {
        $this->enter('/sign-in');
        $this->ask('/sign-in', ['email' => $email, 'password' => $password]);
    }

    /** Opens a page whose forms are sent from now on. */
    public function enter(string $path): void
    {
        $this->token = $this->find($path, '/csrf-token" content="([^"]+)"/');
    }

    /** What the first parentheses of a pattern match on a page. */
    public function find(string $path, string $pattern): string
    {
        $heard = $this->ask($path);
        if (preg_match($pattern, $heard->body, $found) !== 1) {
            exit("$path answered $heard->status, without $pattern.\n");
        }

        return $found[1];
    }

    /**
     * Where a form leads to.
     *
     * @param  array<string, string>  $form
     */
    public function leadsTo(string $path, array $form): string
    {
        $heard = $this->ask($path, $form, isPage: true);
        for ($times = 0; $heard->leadsTo !== null && $times < self::MOST_REDIRECTS; $times++) {
            $path = $heard->leadsTo;
            $heard = $this->ask($path);
        }

        return $path;
    }

    /** @param  ?array<string, string>  $form */
    public function ask(string $path, ?array $form = null, bool $isPage = false): Heard
    {
        $socket = $this->begin($path, $form, $isPage);
        if ($socket === null) {
            return new Heard(0, '', null);
        }
        stream_set_blocking($socket, true);
        stream_set_timeout($socket, self::PATIENCE);

        return $this->hear((string) stream_get_contents($socket));
    }

    /**
     * Sends a request whose answer can be read until its end.
     *
     * @param  ?array<string, string>  $form
     * @param  bool  $isPage  whether the form is sent by the page, not by its script
     * @return ?resource null where nobody is there
     */
    public function begin(string $path, ?array $form = null, bool $isPage = false): mixed
    {
        $socket = @stream_socket_client("tcp://127.0.0.1:$this->port", timeout: self::PATIENCE);
        if ($socket === false) {
            return null;
        }
        $body = $form === null ? '' : http_build_query(['_token' => $this->token] + $form);
        $lines = [
            ($form === null ? 'GET' : 'POST')." $path HTTP/1.0",
            "Host: 127.0.0.1:$this->port",
            'Cookie: '.http_build_query($this->cookies, arg_separator: '; '),
            'Content-Type: application/x-www-form-urlencoded',
            'Content-Length: '.strlen($body),
        ];
        if ($form !== null && ! $isPage) {
            $lines[] = 'X-Requested-With: XMLHttpRequest';
        }
        fwrite($socket, implode("\r\n", $lines)."\r\n\r\n".$body);
        stream_set_blocking($socket, false);

        return $socket;
    }

    /** @param  string  $answer  all that came */
    public function hear(string $answer): Heard
    {
        [$head, $body] = explode("\r\n\r\n", $answer, 2) + ['', ''];
        $status = preg_match('~^HTTP/\S+ (\d+)~', $head, $is) === 1 ? (int) $is[1] : 0;
        preg_match_all('/^Set-Cookie: ([^=]+)=([^;\r]*)/mi', $head, $set, PREG_SET_ORDER);
        foreach ($set as [, $name, $value]) {
            $this->cookies[$name] = urldecode($value);
        }
        $leadsTo = preg_match('~^Location: \w+://[^/]+(\S*)~mi', $head, $is) === 1 ? $is[1] : null;

        return new Heard($status, $body, $leadsTo);
    }
}

/** An answer. */
final readonly class Heard
{
    /** @param  ?string  $leadsTo  path of a redirection */
    public function __construct(public int $status, public string $body, public ?string $leadsTo)
    {
    }
}
