<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Knowledge\Asked;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;

/** One condition of a gate: how it stands, by what or why, and what would settle it. */
final readonly class Requirement
{
    /**
     * @param  ?Reason  $label  what must hold; null where its detail says all of it
     * @param  ?Sentence  $detail  by what it stands as it does, what fails or is not known, or what to do; null where
     *                             its label says all of it
     * @param  list<Asked>  $settledBy  what would tell where it is not known, or change it where it fails
     * @param  bool  $isFirm  no reason passes it: it is about safety, or the law
     */
    private function __construct(
        public Holding $holding,
        public ?Reason $label,
        private ?Sentence $detail,
        public array $settledBy = [],
        public bool $isFirm = false,
    ) {
    }

    /**
     * Holds where it is true, else fails.
     *
     * @param  list<Asked>  $settledBy
     */
    public static function mustHold(bool $holds, Reason|Sentence $why, array $settledBy = []): self
    {
        return new self($holds ? Holding::Holds : Holding::Fails, null, self::said($why), $settledBy);
    }

    /**
     * Holds where it is known, whatever the answer.
     *
     * @param  list<Asked>  $settledBy
     */
    public static function mustBeKnown(bool $known, Reason|Sentence $why, array $settledBy): self
    {
        return new self($known ? Holding::Holds : Holding::NotKnown, null, self::said($why), $settledBy);
    }

    public static function holds(Reason $label, Reason|Sentence|null $detail = null): self
    {
        return new self(Holding::Holds, $label, self::said($detail));
    }

    public static function open(Reason $label, Reason|Sentence $detail, Asked $by): self
    {
        return new self(Holding::NotKnown, $label, self::said($detail), [$by]);
    }

    public static function fails(Reason $label, Reason|Sentence $detail, Asked $by): self
    {
        return new self(Holding::Fails, $label, self::said($detail), [$by]);
    }

    /** Does not hold, or is not known, by nothing that could be read or looked at for it. */
    public static function doubted(Reason $label, Reason|Sentence $detail, Holding $holding): self
    {
        return new self($holding, $label, self::said($detail));
    }

    public static function refuses(Reason $label, Reason|Sentence $detail): self
    {
        return new self(Holding::Fails, $label, self::said($detail), [], true);
    }

    /** The same under a name of what must hold. */
    public function named(Reason $label): self
    {
        return new self($this->holding, $label, $this->detail, $this->settledBy, $this->isFirm);
    }

    /** What must hold; empty where its detail says all of it. */
    public function name(): Sentence
    {
        return Sentence::of($this->label ?? Reason::Nothing);
    }

    /** "drier: 3.1 K over it" */
    public function sentence(): Sentence
    {
        return match (true) {
            $this->detail === null => $this->name(),
            $this->label === null => $this->detail,
            default => Sentence::of(Reason::Labelled, label: $this->name(), detail: $this->detail),
        };
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

    private static function said(Reason|Sentence|null $said): ?Sentence
    {
        return $said instanceof Reason ? Sentence::of($said) : $said;
    }
}
