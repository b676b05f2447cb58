<?php

declare(strict_types=1);

namespace Metrum\Bench;

use Metrum\Quantity\Unanswerable;

/** What was given to a calculator cannot be: which input, and why. */
final class CannotBe extends Unanswerable
{
    private function __construct(public readonly string $input, string $why)
    {
        parent::__construct($why);
    }

    public static function at(string $input, string $why): self
    {
        return new self($input, $why);
    }
}
