<?php

declare(strict_types=1);

namespace Metrum\Language;

use Metrum\Quantity\Units;

/** Several things said in one, one after another. */
final readonly class Several
{
    private const APART = '; ';

    private const BESIDE = ', ';

    /** @param  list<Sentence>  $all */
    private function __construct(private array $all, private string $between)
    {
    }

    /** @param  list<Sentence>  $all  each for itself: "a; b" */
    public static function apart(array $all): self
    {
        return new self($all, self::APART);
    }

    /** @param  list<Sentence>  $all  of one kind: "a, b" */
    public static function beside(array $all): self
    {
        return new self($all, self::BESIDE);
    }

    public function in(Units $units): string
    {
        return implode($this->between, array_map(
            static fn (Sentence $one): string => $one->in($units),
            $this->all,
        ));
    }
}
