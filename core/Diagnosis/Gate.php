<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Language\Sentence;
use Metrum\Language\Several;

/** The one way to hold something back: until its conditions hold, or somebody says why it is done all the same. */
final readonly class Gate
{
    /** @param  list<Requirement>  $requirements */
    public function __construct(public array $requirements)
    {
    }

    public function isOpen(): bool
    {
        return $this->shut() === [];
    }

    /** @return list<Requirement> what keeps it shut: it fails, or nobody knows */
    public function shut(): array
    {
        return $this->only(static fn (Requirement $one): bool => ! $one->isHolding());
    }

    /** @return list<Requirement> what fails: of the rest nobody knows more than that it may hold */
    public function failing(): array
    {
        return $this->only(static fn (Requirement $one): bool => $one->isFailing());
    }

    /** @return list<Requirement> what fails, and no reason passes it */
    public function firm(): array
    {
        return $this->only(static fn (Requirement $one): bool => $one->isFailing() && $one->isFirm);
    }

    /** @return list<Sentence> what keeps it shut */
    public function reasons(): array
    {
        return self::sentences($this->shut());
    }

    /**
     * Why something is held back, within a sentence.
     *
     * @param  list<Requirement>  $by
     */
    public static function why(array $by): Several
    {
        return Several::apart(self::sentences($by));
    }

    /**
     * @param  list<Requirement>  $requirements
     * @return list<Sentence>
     */
    private static function sentences(array $requirements): array
    {
        return array_map(static fn (Requirement $one): Sentence => $one->sentence(), $requirements);
    }

    /**
     * @param  \Closure(Requirement): bool  $wanted
     * @return list<Requirement>
     */
    private function only(\Closure $wanted): array
    {
        return array_values(array_filter($this->requirements, $wanted));
    }
}
