<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\CannotBe;

/** What two series that belong together must be. */
final class Series
{
    /**
     * As long as each other, and the first never falls back.
     *
     * @param  list<float>  $along
     * @param  list<float>  $values
     *
     * @throws CannotBe
     */
    public static function inStep(string $alongKey, array $along, string $key, array $values): void
    {
        self::alike($alongKey, $along, $key, $values);
        for ($i = 1, $n = count($along); $i < $n; $i++) {
            if ($along[$i] <= $along[$i - 1]) {
                $point = $i + 1;

                throw CannotBe::at(
                    $alongKey,
                    "does not rise at value $point; enter rising values",
                );
            }
        }
    }

    /**
     * As long as each other.
     *
     * @param  list<float>  $one
     * @param  list<float>  $other
     *
     * @throws CannotBe
     */
    public static function alike(string $oneKey, array $one, string $otherKey, array $other): void
    {
        if (count($one) !== count($other)) {
            throw CannotBe::at(
                $otherKey,
                sprintf('you entered %d values; %s has %d', count($other), $oneKey, count($one)),
            );
        }
    }
}
