<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Twin\AirSide;
use Metrum\Twin\Dice;
use Metrum\Twin\Machine;

/** A plant as it was really built: near its design, never at it. Some obey other equations than the twin's. */
final readonly class PlantAsBuilt
{
    /** K of dew by which regulators that hold their box well are set apart from the plan. */
    private const REGULATOR_OFF = 1.3;

    /** K by which head control is set below the classic 30 °C: newer valves do with much less. */
    private const HEAD_SET_LOWER = [-2.0, 10.0];

    public function __construct(private Dice $dice)
    {
    }

    /** @param  bool  $altered  other laws of air, valve, charge and compressor than the twin's own */
    public function of(Machine $machine, bool $altered): Machine
    {
        $dice = $this->dice;
        $wide = $altered ? 1.7 : 1.0;
        $built = $machine->with(
            coil: $this->air($machine->coil, 0.1 * $wide, $altered),
            condenser: $this->air($machine->condenser, 0.1 * $wide, $altered),
            feed: $machine->feed
                ->turned($dice->around(0.0, 0.2))
                ->hunting(
                    $altered ? $dice->between(0.6, 1.7) : $dice->between(0.85, 1.2),
                    $machine->feed->bulbLag,
                )
                ->narrowed($dice->factor(0.15 * $wide)),
            compressor: $machine->compressor->otherwise(
                $dice->factor(0.06 * $wide),
                $dice->factor(0.1 * $wide),
            ),
            suctionGain: $machine->suctionGain * $dice->factor(0.75),
            suctionFriction: $machine->suctionFriction * $dice->factor(0.55),
            liquidFriction: $machine->liquidFriction * $dice->factor(0.6),
            drierFriction: $machine->drierFriction * $dice->factor(0.6),
            liquidLoss: $machine->liquidLoss * $dice->factor(0.9),
            freeShare: $machine->freeShare * $dice->factor(0.35),
            exchanger: $machine->exchanger > 0.0 ? $dice->between(0.1, 0.45) : 0.0,
            head: $machine->head
                ->lowered($dice->between(...self::HEAD_SET_LOWER))
                ->mixing($dice->between(0.5, 1.3)),
        );

        $built = $built->regulating($dice->around(0.0, self::REGULATOR_OFF));

        return $this->charged($this->onRack($built), $altered);
    }

    private function air(AirSide $side, float $spread, bool $altered): AirSide
    {
        $moving = $side->moving($this->dice->between(0.85, 1.25));

        return $moving
            ->scaled($this->dice->factor($spread))
            ->obeying($altered ? $this->dice->between(0.3, 0.8) : AirSide::USUAL_LAW);
    }

    private function onRack(Machine $machine): Machine
    {
        if ($machine->groupSuction === null) {
            return $machine;
        }
        $shift = $this->dice->around(0.0, $machine->regulatorSetting === null ? 1.5 : 3.0);

        return $machine->onGroup($shift)->with(
            others: $machine->others * $this->dice->between(0.3, 1.2),
            groupSuperheat: $this->dice->between(6.0, 24.0),
        );
    }

    private function charged(Machine $machine, bool $altered): Machine
    {
        $volume = $altered ? $this->dice->factor(0.3) : 1.0;
        $buffer = $machine->hasReceiver()
            ? 0.3 * $machine->design->buffer * $this->dice->around(0.0, 1.0)
            : 0.03 * $machine->charge * $this->dice->around(0.0, 1.0);

        return $machine->with(
            coilVolume: $machine->coilVolume * $volume,
            charge: $machine->charge + max(-0.8 * $machine->design->buffer, $buffer),
        );
    }
}
