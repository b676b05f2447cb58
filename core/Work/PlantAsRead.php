<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Twin\Ailment;
use Metrum\Twin\Disorder;
use Metrum\Twin\Feed;
use Metrum\Twin\Likeness;
use Metrum\Twin\Machine;
use Metrum\Twin\PlantState;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;
use Metrum\Twin\Twin;

/** The twin brought to what was read: with a fault in it as marked as the readings say, its controls where they are. */
final class PlantAsRead
{
    /** Turns between which the valve of the twin is brought to the superheat that was read. */
    private const TURNS = 7.0;

    /** K of superheat by which the twin may stay away, and steps taken to come near. */
    private const NEAR = 0.15;

    private const STEPS = 7;

    /** K a turn below which a valve is taken to answer no more, and turns below which nothing was turned. */
    private const LEAST_SLOPE = 0.3;

    private const LEAST_TURN = 0.01;

    /** @var array<string, array{Machine, PlantState}> by the fault in them */
    private array $plants = [];

    /** @var ?array{Machine, PlantState} */
    private ?array $held = null;

    private readonly ?float $superheat;

    public function __construct(
        private readonly Twin $twin,
        private readonly Surroundings $around,
        private readonly Findings $now,
        private readonly HouseRules $rules,
    ) {
        $this->superheat = Figures::of($now, $rules)->value(DerivedFigure::EvaporatorSuperheat);
    }

    /**
     * The twin with a fault in it; null: as it would be sound.
     *
     * @return array{Machine, PlantState}
     */
    public function with(?Fault $fault): array
    {
        return $this->plants[self::plant($fault)] ??= $this->brought($fault);
    }

    /**
     * The twin with its regulator set to what the coil has now.
     *
     * @return array{Machine, PlantState}
     */
    public function held(): array
    {
        return $this->held ??= $this->heldAt($this->now->absolute(Reading::EvaporatorPressure));
    }

    public function figures(PlantState $state): Figures
    {
        return Figures::of(new Findings($this->now->circuit, readings: $state->readings), $this->rules);
    }

    /** Under which a plant is kept: a valve set otherwise is the sound plant with its valve turned. */
    private static function plant(?Fault $fault): string
    {
        $isOfFeed = $fault !== null && Ailment::of($fault)->loop?->isOfFeed() === true;

        return $fault === null || $isOfFeed ? '' : $fault->value;
    }

    /**
     * The twin with a fault in it as marked as the readings say; a valve that is set otherwise is turned there.
     *
     * @return array{Machine, PlantState}
     */
    private function brought(?Fault $fault): array
    {
        if ($fault === null || self::plant($fault) === '') {
            return $this->turned($this->twin->machine, $this->twin->at($this->around));
        }
        [$severity, $state] = (new Likeness($this->twin, $this->around, $this->now, $this->rules))->closest($fault);

        return [Disorder::in($this->twin->machine, $fault, $severity), $state];
    }

    /** @return array{Machine, PlantState} */
    private function heldAt(?float $pressure): array
    {
        $machine = $this->twin->machine;
        if ($pressure === null || $machine->regulatorSetting === null) {
            return [$machine, $this->twin->at($this->around)];
        }
        $set = $machine->with(regulatorSetting: $pressure);

        return [$set, (new SteadyState($set, $this->around))->find($this->twin->at($this->around)->solution)];
    }

    /**
     * Turned until the superheat is what was read: along the line through the last two tries, since superheat goes
     * nearly evenly with the turns; half of the way where the plant does not run there.
     *
     * @return array{Machine, PlantState}
     */
    private function turned(Machine $machine, PlantState $state): array
    {
        $off = $this->offBy($state);
        if ($off === null || abs($off) < self::NEAR) {
            return [$machine, $state];
        }
        [$best, $turns, $slope] = [[$machine, $state, abs($off)], 0.0, Feed::KELVIN_PER_TURN];
        $way = -$off / $slope;
        for ($step = 0; $step < self::STEPS && $best[2] >= self::NEAR; $step++) {
            $next = max(-self::TURNS, min(self::TURNS, $turns + $way));
            $tried = $machine->with(feed: $machine->feed->turned($next));
            $found = (new SteadyState($tried, $this->around))->find($best[1]->solution);
            $offNow = $this->offBy($found);
            if ($offNow === null || abs($next - $turns) < self::LEAST_TURN) {
                $way /= 2;

                continue;
            }
            $slope = max(self::LEAST_SLOPE, ($offNow - $off) / ($next - $turns));
            [$turns, $off, $way] = [$next, $offNow, -$offNow / $slope];
            if (abs($offNow) < $best[2]) {
                $best = [$tried, $found, abs($offNow)];
            }
        }

        return [$best[0], $best[1]];
    }

    /** K by which the superheat of a plant is above what is wanted; null where it does not run, or nothing is. */
    private function offBy(PlantState $state): ?float
    {
        $has = $state->runs() ? $this->figures($state)->value(DerivedFigure::EvaporatorSuperheat) : null;

        return $this->superheat === null || $has === null ? null : $has - $this->superheat;
    }
}
