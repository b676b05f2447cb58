<?php

declare(strict_types=1);

namespace Metrum\Twin;

/**
 * What a plant would show at each charge in the same weather, from far too little to too much.
 *
 * Without a receiver the charge shows all along; with one nothing changes between its covered outlet and its brim, so
 * that few states are worked there.
 */
final readonly class ChargeCurve
{
    /** Shares of the charge that are worked without a receiver, and of the summer's charge with one. */
    private const LEAST = 0.4;

    private const MOST = 1.45;

    private const STEP = 0.05;

    /** States worked between covered and full. */
    private const WITHIN = 5;

    /** Shares of the condenser's volume in liquid that are worked beyond a full receiver. */
    private const BEYOND = [0.1, 0.2, 0.35];

    /** @param  non-empty-list<array{float, PlantState}>  $points  kg, rising, and the state there */
    private function __construct(public Machine $machine, public array $points)
    {
    }

    public static function of(Machine $machine, Surroundings $around): self
    {
        $points = [];
        $start = null;
        foreach (self::charges($machine) as $charge) {
            $filled = $machine->with(charge: $charge);
            $state = (new SteadyState($filled, $around))->findOrStand($start);
            $start = $state->solution ?? $start;
            $points[] = [$charge, $state];
        }

        return new self($machine, $points);
    }

    /** kg that is right for this plant. */
    public function right(): float
    {
        return $this->machine->charge;
    }

    /** @return non-empty-list<float> kg, rising */
    private static function charges(Machine $machine): array
    {
        $design = $machine->design;
        $shares = static fn (float $of, float $to): array => array_map(
            static fn (float $share): float => $share * $of,
            range(self::LEAST, $to, self::STEP),
        );
        if (! $machine->hasReceiver()) {
            return $shares($machine->charge, self::MOST);
        }
        $charges = $shares($design->summerCharge, 1.0);
        $room = max(0.0, $design->full - $design->summerCharge);
        for ($part = 1; $part <= self::WITHIN; $part++) {
            $charges[] = $design->summerCharge + ($room * $part) / self::WITHIN;
        }
        $heavy = $machine->condenserVolume * $machine->fluid->liquidDensity($design->ambient);
        foreach (self::BEYOND as $share) {
            $charges[] = $design->full + $share * $heavy;
        }

        return $charges;
    }
}
