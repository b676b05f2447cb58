<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Knowledge\Asked;

/** One condition of a gate: how it stands, by what or why, and what would settle it. */
final readonly class Requirement
{
    /**
     * @param  string  $label  what must hold; empty where its detail says all of it
     * @param  string  $detail  by what it stands as it does, what fails or is not known, or what to do
     * @param  list<Asked>  $settledBy  what would tell where it is not known, or change it where it fails
     * @param  bool  $isFirm  no reason passes it: it is about safety, or the law
     */
    private function __construct(
        public Holding $holding,
        public string $label,
        public string $detail,
        public array $settledBy = [],
        public bool $isFirm = false,
    ) {
    }

    /**
     * Holds where it is true, else fails.
     *
     * @param  list<Asked>  $settledBy
     */
    public static function mustHold(bool $holds, string $why, array $settledBy = []): self
    {
        return new self($holds ? Holding::Holds : Holding::Fails, '', $why, $settledBy);
    }

    /**
     * Holds where it is known, whatever the answer.
     *
     * @param  list<Asked>  $settledBy
     */
    public static function mustBeKnown(bool $known, string $why, array $settledBy): self
    {
        return new self($known ? Holding::Holds : Holding::NotKnown, '', $why, $settledBy);
    }

    public static function holds(string $label, string $detail): self
    {
        return new self(Holding::Holds, $label, $detail);
    }

    public static function open(string $label, string $detail, Asked $by): self
    {
        return new self(Holding::NotKnown, $label, $detail, [$by]);
    }

    public static function fails(string $label, string $detail, Asked $by): self
    {
        return new self(Holding::Fails, $label, $detail, [$by]);
    }

    public static function refuses(string $label, string $detail): self
    {
        return new self(Holding::Fails, $label, $detail, [], true);
    }

    /** The same under a name of what must hold. */
    public function named(string $label): self
    {
        return new self($this->holding, $label, $this->detail, $this->settledBy, $this->isFirm);
    }

    /** "drier: 3.1 K over it" */
    public function sentence(): string
    {
        return $this->label === '' ? $this->detail : "$this->label: $this->detail";
    }

    /** What would settle it above all; null where nothing would. */
    public function settling(): ?Asked
    {
        return $this->isHolding() ? null : $this->settledBy[0] ?? null;
    }

    public function isHolding(): bool
    {
        return $this->holding === Holding::Holds;
    }

    public function isFailing(): bool
    {
        return $this->holding === Holding::Fails;
    }
}
