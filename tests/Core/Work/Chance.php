<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Card\Step;
use Metrum\Quantity\QuantityKind;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Amounts at random as a plant might show them: in one run they lie near each other, or far apart. */
final class Chance
{
    private Randomizer $random;

    private float $temperature = 0.0;

    private float $pressure = 0.0;

    private float $spread = 0.0;

    private float $slope = 0.0;

    private float $swing = 0.0;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** Another plant in another state. */
    public function anew(): void
    {
        $this->temperature = $this->between(-25.0, 40.0);
        $this->pressure = 20.0 * 75.0 ** $this->between(0.0, 1.0);
        $this->spread = $this->oneOf([0.02, 0.15, 0.6]);
        $this->slope = $this->between(-2.0, 0.6) * $this->spread * 10.0;
        $this->swing = $this->oneOf([0.0, 0.0, 6.0]);
    }

    public function half(): bool
    {
        return $this->random->getInt(0, 1_000_000) / 1_000_000 < 0.5;
    }

    /**
     * @template T
     *
     * @param  non-empty-array<T>  $all
     * @return T
     */
    public function oneOf(array $all): mixed
    {
        return array_values($all)[$this->random->getInt(0, count($all) - 1)];
    }

    public function between(float $low, float $high): float
    {
        return $low + ($high - $low) * $this->random->getInt(0, 1_000_000) / 1_000_000;
    }

    /** In the unit of files, within what is possible. @param  int  $point  of a series, counted from 0 */
    public function of(Step $step, int $point = 0): float
    {
        $kind = $step->reading?->quantity() ?? $step->field?->kind;
        $value = match ($kind) {
            QuantityKind::Temperature => $this->temperature + $this->near(20.0) + $this->along($point),
            QuantityKind::GaugePressure => $this->pressure * (1 + $this->near(0.7)) - 15 + 12 * $point * $this->spread,
            QuantityKind::Duration => 0.2 * 500.0 ** $this->between(0.0, 1.0),
            QuantityKind::Current => 10.0 * $this->oneOf([0.0, 0.577, 0.866, 1.0, 1.0, 1.2]),
            QuantityKind::Voltage => 400.0 * (1 + $this->near(0.1)),
            QuantityKind::Count => (float) $this->random->getInt(0, 6),
            QuantityKind::Share => $this->between(0.0, 100.0),
            QuantityKind::PressureDifference => $this->between(1.0, 200.0),
            default => $this->between(1.0, 12.0),
        };
        [$least, $most] = self::possible($step);

        $isPlate = in_array($step->key, ['heater_rated_current_a', 'plate'], true);

        return max($least, min($most, $isPlate ? 10.0 : $value));
    }

    /** So far from what this plant has, either way. */
    private function near(float $most): float
    {
        return $this->between(-$most, $most) * $this->spread;
    }

    /** A box that falls ever more slowly, or a pipe that swings. */
    private function along(int $point): float
    {
        return $this->slope * 4 * (1 - 0.75 ** $point) / (1 - 0.75) / 4 + $this->swing * ($point % 2 === 0 ? 1 : -1);
    }

    /** @return array{float, float} */
    private static function possible(Step $step): array
    {
        $field = $step->field ?? $step->reading?->field(\Metrum\Quantity\Atmosphere::atAltitude(0.0));
        assert($field !== null);
        $unit = $field->fileUnit();

        return [$unit->fromSi($field->least), $unit->fromSi($field->most)];
    }
}
