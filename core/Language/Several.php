<?php

declare(strict_types=1);

namespace Metrum\Language;

use Metrum\Quantity\Units;

/** Several things said in one, one after another. */
final readonly class Several
{
    private const APART = '; ';

    private const BESIDE = ', ';

    private const TOGETHER = ' and ';

    private const ONE_AFTER_ANOTHER = ' ';

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

    /** @param  list<Sentence>  $all  at once: "a and b" */
    public static function together(array $all): self
    {
        return new self($all, self::TOGETHER);
    }

    /** @param  list<Sentence>  $all  whole sentences: "A. B." */
    public static function oneAfterAnother(array $all): self
    {
        return new self($all, self::ONE_AFTER_ANOTHER);
    }

    public function in(Units $units): string
    {
        return implode(Tongue::of($this->between, $units->locale), array_map(
            static fn (Sentence $one): string => $one->in($units),
            $this->all,
        ));
    }
}
