<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Knowledge\HouseRules;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Ice\IceExpectation;
use Metrum\Twin\Ice\IceMachine;
use Metrum\Twin\Ice\IceSizing;

/** The twins of circuits as they are known: each made once, and kept on a shelf where there is one. */
final class Twins
{
    /** Twins held at once in a long run. */
    private const MOST = 16;

    /** @var array<string, Twin> */
    private array $here = [];

    /** @var array<string, CannotStand> what was found to have none; finding out why takes many sizings */
    private array $none = [];

    /** @var array<string, IceMachine> */
    private array $ice = [];

    public function __construct(private readonly ?Shelf $shelf = null)
    {
    }

    /**
     * @param  list<Findings>  $good  what was found where the plant ran well
     *
     * @throws CannotStand
     */
    public function of(Circuit $circuit, HouseRules $rules, array $good = []): Twin
    {
        $read = array_map(static fn (Findings $findings): array => $findings->readings, $good);
        $key = md5(serialize([$circuit, $rules->choices, $read]));
        if (isset($this->none[$key])) {
            throw $this->none[$key];
        }
        if (! isset($this->here[$key])) {
            if (count($this->here) + count($this->none) >= self::MOST) {
                $this->keep();
            }
            try {
                $this->here[$key] = $this->shelf?->take($key) ?? self::made($circuit, $rules, $good);
            } catch (CannotStand $reason) {
                throw ($this->none[$key] = $reason);
            }
        }

        return $this->here[$key];
    }

    /**
     * What is expected of a plant: by its twin, else, where no such plant can be built, by design values and house
     * rules.
     *
     * @param  list<Findings>  $good
     */
    public function expectation(Findings $findings, HouseRules $rules, array $good = []): Expectation
    {
        if ($findings->circuit->makesBatches()) {
            return $this->ofIce($findings, $rules) ?? new DesignExpectation($findings, $rules);
        }
        try {
            $twin = $this->of($findings->circuit, $rules, $good);
            $ought = $findings->circuit->asItOughtToBe();
            $sound = $ought === $findings->circuit ? $twin : $this->of($ought, $rules, $good);

            return new TwinExpectation($findings, $rules, $twin, $sound);
        } catch (CannotStand) {
            return new DesignExpectation($findings, $rules);
        }
    }

    /** Null where no such machine can be built, or it does not run in this weather. */
    private function ofIce(Findings $findings, HouseRules $rules): ?IceExpectation
    {
        try {
            $key = md5(serialize($findings->circuit));
            $this->ice = array_slice($this->ice, -self::MOST, null, true);
            $machine = $this->ice[$key] ??= IceSizing::of($findings->circuit)->machine();

            return IceExpectation::of($findings, $rules, $machine);
        } catch (OutsideTable) {
            return null;
        }
    }

    /** Why a plant so described has no twin; null where it has one. */
    public function whyNone(Circuit $circuit, HouseRules $rules): ?string
    {
        try {
            $this->of($circuit, $rules);
        } catch (CannotStand $reason) {
            return $reason->getMessage();
        }

        return null;
    }

    /**
     * @param  list<Findings>  $good
     *
     * @throws CannotStand
     */
    private static function made(Circuit $circuit, HouseRules $rules, array $good): Twin
    {
        try {
            return Twin::fittedTo($circuit, $rules, $good);
        } catch (OutsideTable $reason) {
            // Visits that ran well may draw it where it cannot be; as designed it still may.
            return $good === []
                ? throw CannotStand::of($circuit, $rules, $reason)
                : self::made($circuit, $rules, []);
        }
    }

    /** Puts on the shelf what was learned, and lets go of the rest. */
    public function keep(): void
    {
        foreach ($this->here as $key => $twin) {
            if ($twin->hasLearned()) {
                $this->shelf?->put($key, $twin);
            }
        }
        $this->here = $this->none = [];
    }
}
