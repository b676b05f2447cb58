<?php

declare(strict_types=1);

namespace Metrum\Card;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;

/** What ends a card at once, before its next step: why, what to do instead, and whether a reason passes it. */
final readonly class Stop
{
    /**
     * @param  Outcome  $outcome  what the card comes to there; its clauses speak of steps up to this one
     * @param  string  $does  what to do now
     * @param  bool  $canBePassed  a reason lets the work go on; never where somebody may come to harm
     */
    private function __construct(public Outcome $outcome, public string $does, public bool $canBePassed)
    {
    }

    /** @throws BrokenData */
    public static function ofRow(DataRow $row): self
    {
        $outcome = Outcome::ofRow($row, ['does', 'pass']);
        if ($outcome->when === []) {
            throw $row->broken('when', 'a stop says when it stops');
        }

        return new self($outcome, $row->text('does'), $row->flag('pass', false));
    }

    public function key(): string
    {
        return $this->outcome->key;
    }
}
