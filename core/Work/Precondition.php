<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Diagnosis\Holding;
use Metrum\Knowledge\Asked;

/** One thing that must hold before a move: how it stands, by what, and what would tell or mend it. */
final readonly class Precondition
{
    /**
     * @param  string  $label  what must hold
     * @param  string  $detail  by what it stands as it does, or what to do
     * @param  ?Asked  $settledBy  what would tell
     * @param  bool  $isFirm  no reason passes it: it is about safety, or the law
     */
    public function __construct(
        public Holding $holding,
        public string $label,
        public string $detail,
        public ?Asked $settledBy = null,
        public bool $isFirm = false,
    ) {
    }

    public static function holds(string $label, string $detail): self
    {
        return new self(Holding::Holds, $label, $detail);
    }

    public static function open(string $label, string $detail, Asked $by): self
    {
        return new self(Holding::NotKnown, $label, $detail, $by);
    }

    public static function fails(string $label, string $detail, Asked $by): self
    {
        return new self(Holding::Fails, $label, $detail, $by);
    }

    public static function refuses(string $label, string $detail): self
    {
        return new self(Holding::Fails, $label, $detail, null, true);
    }

    /**
     * @param  list<self>  $all
     * @return list<self> that no reason passes
     */
    public static function firm(array $all): array
    {
        return array_values(array_filter($all, static fn (self $one): bool => $one->isFailing() && $one->isFirm));
    }

    /**
     * @param  list<self>  $all
     * @return list<self> that do not hold
     */
    public static function failing(array $all): array
    {
        return array_values(array_filter($all, static fn (self $one): bool => $one->isFailing()));
    }

    /**
     * @param  list<self>  $all
     * @return list<self> that do not hold, or of which nobody knows
     */
    public static function notHolding(array $all): array
    {
        return array_values(array_filter($all, static fn (self $one): bool => ! $one->isHolding()));
    }

    /** "drier: 3.1 K over it" */
    public function sentence(): string
    {
        return "$this->label: $this->detail";
    }

    /**
     * Why something is held back, within a sentence.
     *
     * @param  list<self>  $failing
     */
    public static function why(array $failing): string
    {
        return implode('; ', array_map(static fn (self $one): string => $one->sentence(), $failing));
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
