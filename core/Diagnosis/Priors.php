<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Installation\Condition;
use Metrum\Installation\PlantAge;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\State;

/** What is held of each fault before anything was found: how often it is met at a plant of which so much was said. */
final readonly class Priors
{
    /** Chances that nothing else is wrong where one fault is proven, to one that something is. */
    private const NOTHING_ELSE = 9.0;

    /** Share at which it counts how seldom a part is: that it was met where something is wrong makes it likelier. */
    private const PART = 0.6;

    /** Nats against more load than usual while the box is on its way: that it is warm is what it is on its way from. */
    private const ON_ITS_WAY = 1.0;

    /** Nats against a shut solenoid where liquid was seen to pass it. */
    private const PASSED = 5.0;

    /** @var list<bool> by place: whether the fault is still in question at such a plant */
    public array $open;

    /** @var array<int, float> nats by place */
    public array $nats;

    public function __construct(private Curves $curves, private Examination $examined)
    {
        $this->open = self::stillOpen($curves, $examined);
        $this->nats = $this->priors();
    }

    /**
     * Neither proven nor ruled out, and possible at such a plant; where that leaves none, that nothing more is wrong.
     *
     * @return list<bool>
     */
    private static function stillOpen(Curves $curves, Examination $examined): array
    {
        $closed = [...$examined->findings->confirmed, ...$examined->findings->ruledOut];
        $open = array_map(
            static fn (Fault $fault): bool => ! in_array($fault, $closed, true) &&
                $examined->conditions->fits(FaultCatalogue::entry($fault)->fit),
            $curves->faults,
        );

        return in_array(true, $open, true)
            ? $open
            : array_map(static fn (Fault $fault): bool => $fault === Fault::NoFault, $curves->faults);
    }

    /**
     * A fault of a part of which nobody said whether it is fitted is as seldom as such parts are at its kind.
     *
     * @return array<int, float>
     */
    private function priors(): array
    {
        $circuit = $this->examined->findings->circuit;
        $priors = $this->curves->prior;
        foreach ($this->curves->faults as $place => $fault) {
            foreach (FaultCatalogue::entry($fault)->fit->unsaid($circuit) as $part) {
                $priors[$place] += self::PART * log($circuit->kind?->usual()->chanceOf($part) ?? 1.0);
            }
        }
        if ($circuit->ice->age === PlantAge::New) {
            foreach ($this->curves->faults as $place => $fault) {
                $priors[$place] += log(FaultCatalogue::entry($fault)->whenNew);
            }
        }
        // Gas that leaves the coil hardly superheated was liquid that passed the solenoid.
        $told = new KnownAnswers($this->examined->findings, $this->examined->figures);
        if ($told->is(Observation::LiquidSolenoid)) {
            $priors[$this->curves->placeOf(Fault::LiquidSolenoidShut)] -= self::PASSED;
        }
        if ($this->examined->findings->state === State::PullingDown) {
            $priors[$this->curves->placeOf(Fault::ExcessLoad)] -= self::ON_ITS_WAY;
        }
        // In the cold such a plant runs out for its flooded condenser first: a leak is no likelier than that.
        if ($this->examined->conditions->holds(Condition::ColdFlooding) === true) {
            $leak = $this->curves->placeOf(Fault::Undercharge);
            $priors[$leak] = min($priors[$leak], $priors[$this->curves->placeOf(Fault::WinterUndercharge)]);
        }
        if ($this->examined->findings->confirmed !== []) {
            $priors[$this->curves->placeOf(Fault::NoFault)] = self::nothingElse($priors, $this->open);
        }

        return $priors;
    }

    /**
     * Where a fault is proven, nothing else has nine chances in ten before anything speaks for more.
     *
     * @param  array<int, float>  $priors
     * @param  list<bool>  $open
     */
    private static function nothingElse(array $priors, array $open): float
    {
        $others = 1e-9;
        foreach ($priors as $place => $prior) {
            $others += $open[$place] ? exp($prior) : 0.0;
        }

        return log(self::NOTHING_ELSE * $others);
    }
}
