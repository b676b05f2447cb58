<?php

/** Somebody signed in who sends entries of a visit of their own, and knows what was confirmed. */
final class Technician
{
    /** @var list<string> notes that were confirmed */
    public array $confirmed = [];

    public int $refused = 0;

    private int $next = 0;

    private readonly string $cookies;

    private string $token = '';

    private string $visit = '';

    public function __construct(private readonly string $at, private readonly string $name)
    {
        $this->cookies = tempnam(sys_get_temp_dir(), 'cookies');
    }

    public function begin(string $email, string $password, string $circuit): void
    {
        $this->read('/sign-in');
        $this->send('/sign-in', ['email' => $email, 'password' => $password]);
        $this->read('/');
        $this->send("/circuits/$circuit/again", []);
        $page = $this->send("/circuits/$circuit/visits", []);
        preg_match('#/visits/(\w{26})#', $page, $found);
        $this->visit = $found[1] ?? exit("{$this->name} could not begin.\n");
        $this->read("/visits/{$this->visit}/gauges");
    }

    public function visit(): string
    {
        return $this->visit;
    }

    /** The request of the next entry, for many to be sent at once. */
    public function entry(): CurlHandle
    {
        $note = "{$this->name} ".$this->next++;
        $curl = $this->curl("/visits/{$this->visit}/entries");
        curl_setopt_array($curl, [
            CURLOPT_POSTFIELDS => http_build_query([
                '_token' => $this->token,
                'kind' => 'note',
                'key' => 'note',
                'value' => $note,
                'stage' => 'gauges',
            ]),
            CURLOPT_PRIVATE => $note,
        ]);

        return $curl;
    }

    public function hear(CurlHandle $curl): void
    {
        if (curl_getinfo($curl, CURLINFO_RESPONSE_CODE) === 200) {
            $this->confirmed[] = curl_getinfo($curl, CURLINFO_PRIVATE);
        } else {
            $this->refused++;
        }
    }

    private function read(string $path): void
    {
        $body = (string) curl_exec($this->curl($path));
        preg_match('/csrf-token" content="([^"]+)"/', $body, $found);
        $this->token = $found[1] ?? $this->token;
    }

    /** @param  array<string, string>  $form */
    private function send(string $path, array $form): string
    {
        $curl = $this->curl($path);
        curl_setopt($curl, CURLOPT_HTTPHEADER, []);
        curl_setopt($curl, CURLOPT_POSTFIELDS, http_build_query($form + ['_token' => $this->token]));
        curl_setopt($curl, CURLOPT_FOLLOWLOCATION, true);
        curl_exec($curl);

        return (string) curl_getinfo($curl, CURLINFO_EFFECTIVE_URL);
    }

    private function curl(string $path): CurlHandle
    {
        $curl = curl_init($this->at.$path);
        curl_setopt_array($curl, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_COOKIEFILE => $this->cookies,
            CURLOPT_COOKIEJAR => $this->cookies,
            CURLOPT_TIMEOUT => 60,
            CURLOPT_HTTPHEADER => ['X-Requested-With: XMLHttpRequest'],
        ]);

        return $curl;
    }
}
