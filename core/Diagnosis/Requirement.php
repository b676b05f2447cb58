<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Knowledge\Asked;

/** One condition of a gate: how it stands, why, and what would settle it. */
final readonly class Requirement
{
    /**
     * @param  string  $why  in words, where it does not hold: what fails, or what is not known
     * @param  list<Asked>  $settledBy  what would tell where it is not known, or change it where it fails
     */
    private function __construct(public Holding $holding, public string $why, public array $settledBy)
    {
    }

    /**
     * Holds where it is true, else fails.
     *
     * @param  list<Asked>  $settledBy
     */
    public static function mustHold(bool $holds, string $why, array $settledBy = []): self
    {
        return new self($holds ? Holding::Holds : Holding::Fails, $why, $settledBy);
    }

    /**
     * Holds where it is known, whatever the answer.
     *
     * @param  list<Asked>  $settledBy
     */
    public static function mustBeKnown(bool $known, string $why, array $settledBy): self
    {
        return new self($known ? Holding::Holds : Holding::NotKnown, $why, $settledBy);
    }

    public function holds(): bool
    {
        return $this->holding === Holding::Holds;
    }
}
