<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Installation\Circuit;
use Metrum\Installation\Metering;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Wanted;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Walk\CondenserWalk;

/**
 * Sizes a plant so that it meets its design point exactly: TD, split, superheat and subcooling from the design values,
 * else from the house rules; capacity from the rated current, else usual for the kind; volumes from the plate, else by
 * capacity.
 *
 * Each part's size is tied to one miss of the loop at the design point, so a few walks there bring all of them home.
 */
final readonly class Sizing
{
    /** Share of the rated current that a sound plant draws at its design point. */
    public const CURRENT_SHARE = 0.74;

    private const ROUNDS = 25;

    /** Effectiveness of a suction-to-liquid heat exchanger as they are commonly sized. */
    private const EXCHANGER = 0.25;

    private Wanted $wanted;

    private FirstSizes $first;

    private Filling $filling;

    /** @throws OutsideTable where such a plant cannot be built with its refrigerant */
    public function __construct(private Circuit $circuit, HouseRules $rules = new HouseRules())
    {
        $this->wanted = new Wanted($circuit, $rules);
        $this->first = new FirstSizes($circuit, $this->wanted);
        $this->filling = new Filling($circuit, $this->wanted);
    }

    /**
     * @param  ?float  $cooling  W at the design point; null: by the rated current, else usual for the kind
     *
     * @throws OutsideTable
     */
    public function machine(?float $cooling = null): Machine
    {
        $rated = $this->circuit->design->ratedCurrent;
        $machine = $this->sized($cooling ?? $this->circuit->usual()->cooling);
        if ($cooling === null && $rated !== null) {
            $share = (self::CURRENT_SHARE * $rated) / $this->current($machine);
            $machine = $this->sized($machine->design->cooling * $share);
        }

        return $machine->with(ratedCurrent: $rated ?? $this->current($machine) / self::CURRENT_SHARE);
    }

    /** @return array{float, float, float, float, float} the loop's unknowns at the design point */
    public static function guess(Machine $machine, ?float $fill = null): array
    {
        $design = $machine->design;

        return [
            log($design->evaporating),
            log($design->condensing),
            log($design->massFlow),
            $design->liquid / 1e4,
            $fill ?? ($machine->hasReceiver() ? Filling::DESIGN_LEVEL : 0.0),
        ];
    }

    private function current(Machine $machine): float
    {
        $loop = self::atDesign($machine);
        $electric = $machine->compressor->electricPower($loop->compression->shaft);

        return $machine->compressor->current($electric, self::CURRENT_SHARE);
    }

    /** The loop at the design point, with its receiver so full. */
    public static function atDesign(Machine $machine, ?float $fill = null): Loop
    {
        $loop = new Loop($machine, new Surroundings($machine->design->ambient, $machine->design->box));
        $loop->walk(self::guess($machine, $fill));

        return $loop;
    }

    private function sized(float $cooling): Machine
    {
        $machine = $this->filling->of($this->fitted($this->first->machine($cooling)));

        // Parts are taken by the plan without it; what an exchanger adds comes on top.
        return $this->circuit->exchanger === true ? $machine->with(exchanger: self::EXCHANGER) : $machine;
    }

    /** Walks the design point and lets each size follow its own miss. */
    private function fitted(Machine $machine): Machine
    {
        $around = new Surroundings($machine->design->ambient, $machine->design->box);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $loop = new Loop($machine, $around);
            $misses = $loop->walk(self::guess($machine));
            $superheat = $loop->coil->superheat > 0.0 ? $loop->coil->superheat : 0.3;
            $machine = $this->followed($machine, $loop, $misses, $superheat);
            $missed = abs($misses[0]) + abs($misses[1]) + abs($misses[2]) + abs($misses[3]);
            if (abs($superheat - $this->first->superheat) < 1e-4 && $missed < 1e-6 && $round > 5) {
                break;
            }
        }

        return $machine;
    }

    /**
     * @param  array{float, float, float, float, float}  $misses
     * @param  float  $superheat  that the coil gave, K
     */
    private function followed(Machine $machine, Loop $loop, array $misses, float $superheat): Machine
    {
        $design = $machine->design;
        // More superheat than wanted: the coil is too large. The superheating zone answers steeply.
        $excess = ($superheat - $this->first->superheat) / max(1.0, $design->box - $loop->evaporating->dew);
        $open =
            $machine->feed->kind === Metering::Capillary
                ? 1.0
                : max(0.02, $loop->opening) * FirstSizes::OVERSIZE;
        $short = ($design->cooling - $loop->coil->heat) / $design->cooling;

        return $machine->with(
            compressor: $machine->compressor->otherwise(
                $machine->groupSuction === null ? exp(-$misses[0]) : 1.0,
            ),
            feed: $machine->feed->narrowed(exp(-$misses[1]) * $open),
            condenser: $machine->condenser->scaled(max(0.5, min(2.0, 1 - $misses[2]))),
            coil: $machine->coil->scaled(max(0.9, min(1.1, 1 - 0.25 * $excess))),
            freeShare: max(0.004, min(0.5, $this->freeShare($machine, $loop))),
            design: $design->withFlow($design->massFlow * (1 + $short)),
        );
    }

    /** The share that cools liquid from bubble to the wanted outlet, from the loop's own relation. */
    private function freeShare(Machine $machine, Loop $loop): float
    {
        $above = $loop->condensing->bubble - $loop->around->ambient;
        $left = max(0.3, $above - $this->first->subcooling);
        $capacity = ($loop->massFlow + $machine->others) * $loop->liquidHeat;

        return (log($above / $left) * $capacity) /
            $machine->condenser->conductance(CondenserWalk::LIQUID_TRANSFER);
    }
}
