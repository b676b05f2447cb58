<?php

namespace App\View;

use App\Records\JudgedVisit;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Quantity\Units;
use Metrum\Work\Desk\OwnerText;

/** The whole visit for the owner: what was wrong, what was done, what is still wrong, and who comes back when. */
final readonly class OwnerSummary
{
    private OwnerText $text;

    public function __construct(private JudgedVisit $judged, private Units $units)
    {
        $this->text = new OwnerText($judged->desk);
    }

    public function text(): string
    {
        return implode(' ', [...$this->wrong(), ...$this->did(), ...$this->now(), ...$this->comesBack()]);
    }

    /** @return list<string> what was wrong when we came */
    public function wrong(): array
    {
        return $this->told($this->text->wrong());
    }

    /** @return list<string> what we did */
    public function did(): array
    {
        return $this->told($this->text->did());
    }

    /** @return list<string> how we left it, and what is still to be done */
    public function now(): array
    {
        return $this->told($this->text->now());
    }

    /** @return list<string> who comes back, when and for what */
    public function comesBack(): array
    {
        $said = [];
        foreach ($this->judged->visit->followUps()->whereNull('done_at')->orderBy('due_on')->get() as $one) {
            $said[] = Sentence::of(
                Reason::ComesBack,
                day: Dates::day($one->due_on, 'dMMMM', $this->units->locale),
                what: lcfirst(rtrim($one->what, '.')),
            );
        }

        return $this->told($said);
    }

    /**
     * @param  list<Sentence>  $said
     * @return list<string>
     */
    private function told(array $said): array
    {
        return array_map(fn (Sentence $one): string => $one->in($this->units), $said);
    }
}
