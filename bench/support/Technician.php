<?php

/** Somebody signed in who sends entries of a visit of their own, and knows what was confirmed. */
final class Technician
{
    /** @var list<string> notes that were confirmed */
    public array $confirmed = [];

    public int $refused = 0;

    private int $next = 0;

    private readonly Browser $browser;

    private string $visit = '';

    public function __construct(int $port, private readonly string $name)
    {
        $this->browser = new Browser($port);
    }

    public function begin(string $email, string $password, string $circuit): void
    {
        $this->browser->signIn($email, $password);
        $this->browser->enter('/');
        $this->browser->leadsTo("/circuits/$circuit/again", []);
        $page = $this->browser->leadsTo("/circuits/$circuit/visits", []);
        preg_match('#/visits/(\w{26})#', $page, $found);
        $this->visit = $found[1] ?? exit("{$this->name} could not begin.\n");
        $this->browser->enter("/visits/{$this->visit}/gauges");
    }

    /** The next entry, sent; its answer is read from what is returned. @return resource */
    public function sends(): mixed
    {
        $note = "{$this->name} {$this->next}";

        return $this->browser->begin("/visits/{$this->visit}/entries", [
            'kind' => 'note',
            'key' => 'note',
            'value' => $note,
            'stage' => 'gauges',
        ]) ?? exit("Nobody is there for {$this->name}.\n");
    }

    public function hears(string $answer): void
    {
        if ($this->browser->hear($answer)->status === 200) {
            $this->confirmed[] = "{$this->name} {$this->next}";
        } else {
            $this->refused++;
        }
        $this->next++;
    }
}
