<?php

declare(strict_types=1);

namespace Metrum\Card;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;

/** One thing that must be so of a value beside another. Numbers stand in the unit of the value. */
final readonly class Clause
{
    /** @param  string|bool  $word  that it is; empty where it is compared with an amount */
    private function __construct(
        public Ref $of,
        public Comparison $comparison,
        public ?Ref $than,
        public string|bool $word,
    ) {
    }

    /** @throws BrokenData */
    public static function ofRow(DataRow $row): self
    {
        $row->only(['of', ...array_column(Comparison::cases(), 'value')]);
        $given = array_values(array_filter(Comparison::cases(), static fn ($one): bool => $row->has($one->value)));
        if (count($given) !== 1) {
            throw $row->broken('of', 'expected above, below, at_least, is, is_not or known with it');
        }
        $comparison = $given[0];
        if ($comparison->isOfAmounts()) {
            return new self(Ref::of($row, 'of'), $comparison, Ref::of($row, $comparison->value), '');
        }
        if ($comparison === Comparison::Known) {
            return new self(Ref::of($row, 'of'), $comparison, null, $row->flag('known'));
        }
        $word = $row->given($comparison->value);

        return new self(
            Ref::of($row, 'of'),
            $comparison,
            null,
            is_bool($word) ? $word : $row->text($comparison->value),
        );
    }

    /**
     * @return list<self>
     *
     * @throws BrokenData
     */
    public static function all(DataRow $row, string $key): array
    {
        return array_map(self::ofRow(...), $row->rows($key));
    }
}
