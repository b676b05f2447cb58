<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\LoadKind;

/** What is not known of a plant whose design values are: each thing moved by its own deviation. */
final class Uncertainty
{
    /** Share by which the air over a coil or condenser differs from one make to another. */
    private const AIR = 0.3;

    /**
     * @param  float  $certainty  1 by design values; smaller where visits that ran well were fitted
     * @return list<Machine> the plant with one thing each as it might also be, one deviation away
     */
    public static function around(Machine $machine, float $certainty): array
    {
        $given = $machine->circuit->design;
        $c = $certainty;
        $shared = $machine->circuit->isShared();
        $fluid = $machine->fluid;
        $ice = $machine->circuit->cools(LoadKind::IceMachine) ? 1.8 : 1.0;
        // Nobody says to which end of the glide a design difference was meant.
        $glideE = 0.35 * abs($fluid->glide($machine->design->evaporating));
        $glideC = 0.4 * abs($fluid->glide($machine->design->condensing));
        $dew = $fluid->dewTemperature($machine->design->evaporating);
        $difference = max(3.0, $machine->design->box - $dew);
        $split = max(4.0, $fluid->bubbleTemperature($machine->design->condensing) - $machine->design->ambient);
        $coil = 1 + ($c * $ice * hypot($given->evaporatorTd !== null ? 1.1 : 2.2, $glideE)) / $difference;
        $condenser =
            1 + ($c * $ice * hypot(($given->condenserSplit !== null ? 0.13 : 0.25) * $split, $glideC)) / $split;
        $varied = [
            $machine->with(coil: $machine->coil->scaled($coil)),
            $machine->with(condenser: $machine->condenser->scaled($condenser)),
            // Much air through few fins, or little through many: the difference is planned, the air's own is not.
            $machine->with(coil: $machine->coil->moving(1 + self::AIR * $c)),
            $machine->with(condenser: $machine->condenser->moving(1 + self::AIR * $c)),
            $machine->with(feed: $machine->feed->turned($c * $ice * ($given->superheat !== null ? 0.8 : 1.2))),
            // How large a valve was taken shows where more is asked of it than was planned: in a warm box.
            $machine->with(feed: $machine->feed->narrowed(1 - 0.18 * $c)),
            $machine->with(compressor: $machine->compressor->otherwise(1 + 0.08 * $c)),
            $machine->with(compressor: $machine->compressor->otherwise(1.0, 1 - 0.1 * $c)),
            $machine->with(suctionGain: $machine->suctionGain * (1 + ($shared ? 1.6 : 1.1) * $c)),
            $machine->with(suctionFriction: $machine->suctionFriction * (1 + 0.8 * $c)),
            $machine->with(liquidLoss: $machine->liquidLoss * (1 + 3 * $c)),
            $machine->with(
                freeShare: $machine->freeShare * (1 + $c * ($given->subcooling !== null ? 0.45 : 0.7)),
            ),
            $machine->with(
                charge: $machine->charge +
                    ($machine->hasReceiver() ? 0.35 * $machine->design->buffer : 0.04 * $machine->charge) * $c,
            ),
        ];
        if ($machine->head->kind !== HeadPressureControl::None) {
            // Old valves want about 30 °C, newer ones do with less: where it is set is not known.
            $varied[] = $machine->with(head: $machine->head->lowered(5.0 * $c));
            $varied[] = $machine->with(head: $machine->head->mixing(1 - 0.5 * $c));
        }
        if ($machine->regulatorSetting !== null) {
            // It is set by the box, not by a plate: nobody wrote down where.
            $box = $given->boxSetPoint !== null ? 0.0 : 1.2;
            $apart = hypot($given->evaporatorTd !== null ? 1.4 : 2.0, $box);
            $varied[] = $machine->regulating(-$c * $apart);
        }
        if ($machine->groupSuction !== null) {
            $varied[] = $machine->onGroup(-$c * ($machine->regulatorSetting !== null ? 4.0 : 2.0));
        }

        return $varied;
    }
}
