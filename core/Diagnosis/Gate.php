<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

/** Something that is held back until its conditions hold. */
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

    /** @return list<Requirement> what keeps it shut */
    public function shut(): array
    {
        return array_values(
            array_filter($this->requirements, static fn (Requirement $one): bool => ! $one->holds()),
        );
    }

    /** @return list<string> what keeps it shut, in words */
    public function reasons(): array
    {
        return array_map(static fn (Requirement $one): string => $one->why, $this->shut());
    }
}
