<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Quantity\Celsius;

/** Where a compressor may run: a field over evaporating and condensing, with zones that ask for more. K. */
final readonly class Envelope
{
    /**
     * @param  non-empty-list<array{float, float}>  $corners  evaporating and condensing, in order round the field
     * @param  list<array{string, non-empty-list<array{float, float}>}>  $zones  what is needed there, and its corners
     */
    private function __construct(public array $corners, public array $zones)
    {
    }

    /**
     * As somebody gave its corners.
     *
     * @param  non-empty-list<array{float, float}>  $corners  evaporating and condensing, K
     */
    public static function around(array $corners): self
    {
        return new self($corners, []);
    }

    /** @throws BrokenData */
    public static function of(DataRow $row): self
    {
        $zones = [];
        foreach ($row->rows('zones') as $zone) {
            $zones[] = [$zone->text('label'), self::corners($zone)];
        }

        return new self(self::corners($row), $zones);
    }

    /**
     * @return non-empty-list<array{float, float}>
     *
     * @throws BrokenData
     */
    private static function corners(DataRow $row): array
    {
        $corners = [];
        $given = $row->given('corners');
        foreach (is_array($given) ? $given : [] as $one) {
            [$low, $high] = is_array($one) ? [...array_values($one), null, null] : [null, null];
            if (! is_numeric($low) || ! is_numeric($high)) {
                throw $row->broken('corners', 'expected pairs of evaporating and condensing, °C');
            }
            $corners[] = [Celsius::ZERO + (float) $low, Celsius::ZERO + (float) $high];
        }

        return count($corners) < 3 ? throw $row->broken('corners', 'expected three at least') : $corners;
    }

    /**
     * Whether a point lies in the field, its edge with it.
     *
     * @param  float  $evaporating  K
     * @param  float  $condensing  K
     */
    public function holds(float $evaporating, float $condensing): bool
    {
        return self::isIn($this->corners, $evaporating, $condensing);
    }

    /** What is needed there besides; null where nothing is. */
    public function zoneAt(float $evaporating, float $condensing): ?string
    {
        foreach ($this->zones as [$label, $corners]) {
            if (self::isIn($corners, $evaporating, $condensing)) {
                return $label;
            }
        }

        return null;
    }

    /**
     * By how often a ray to the right crosses the edges (even and odd rule).
     *
     * @param  non-empty-list<array{float, float}>  $corners
     */
    private static function isIn(array $corners, float $x, float $y): bool
    {
        $isIn = false;
        $before = $corners[count($corners) - 1];
        foreach ($corners as $corner) {
            [[$x1, $y1], [$x2, $y2]] = [$before, $corner];
            if (self::isOn($x1, $y1, $x2, $y2, $x, $y)) {
                return true;
            }
            if (($y1 > $y) !== ($y2 > $y) && $x < ($x2 - $x1) * ($y - $y1) / ($y2 - $y1) + $x1) {
                $isIn = ! $isIn;
            }
            $before = $corner;
        }

        return $isIn;
    }

    private static function isOn(float $x1, float $y1, float $x2, float $y2, float $x, float $y): bool
    {
        $across = ($x - $x1) * ($y2 - $y1) - ($y - $y1) * ($x2 - $x1);
        $isBetween = $x >= min($x1, $x2) - 1e-9 && $x <= max($x1, $x2) + 1e-9 &&
            $y >= min($y1, $y2) - 1e-9 && $y <= max($y1, $y2) + 1e-9;

        return abs($across) < 1e-6 && $isBetween;
    }
}
