<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Diagnosis\Seen\SeenFault;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Findings;
use Metrum\Findings\Share;
use Metrum\Findings\Sign;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Word;

/**
 * Figures that are not judged as they are, because the twin does not know the state they were taken in, or because
 * something seen makes them meaningless: no pressure speaks while the coil has no air.
 */
final readonly class WithheldFigures
{
    /** States through which pressures and pipes pass on their way. */
    private const PASSING = [
        State::Starting,
        State::AfterDefrost,
        State::PumpingDown,
        State::InDefrost,
        State::Harvesting,
    ];

    /** What a box on its way to its set point makes of itself: how warm it is, and what follows from that alone. */
    private const OF_THE_BOX = [
        Sign::Box,
        DerivedFigure::BoxAboveSetPoint,
        DerivedFigure::EvaporatorTd,
        DerivedFigure::SaturatedEvaporator,
        DerivedFigure::CoilAirDrop,
        DerivedFigure::CondensingMiddle,
        DerivedFigure::CondenserSplit,
        DerivedFigure::CondenserApproach,
        DerivedFigure::CondenserAirRise,
        Share::SuperheatOfTd,
        Share::Lift,
        Share::Ratio,
    ];

    private bool $circuit;

    private bool $box;

    /** @param  list<SeenFault>  $seen  what is a fault and no mere sign of one */
    public function __construct(Findings $findings, array $seen)
    {
        $passing = in_array($findings->state, self::PASSING, true);
        $this->circuit = $passing || self::hasNoAir($seen);
        $this->box = $passing || $findings->state === State::PullingDown;
    }

    /** Whether no figure of the circuit is judged. */
    public function ofCircuit(): bool
    {
        return $this->circuit;
    }

    /**
     * The coil's fans stand outside a defrost. What ice does to a coil the twin knows, and shows of itself.
     *
     * @param  list<SeenFault>  $seen
     */
    private static function hasNoAir(array $seen): bool
    {
        foreach ($seen as $one) {
            if ($one->word === Word::AllStopped && $one->asked === Observation::EvaporatorFans) {
                return true;
            }
        }

        return false;
    }

    /** Whether a feature is kept back. */
    public function holds(Feature $feature): bool
    {
        $one = $feature->of;

        return match (true) {
            $this->box && in_array($one, self::OF_THE_BOX, true) => true,
            $one === Sign::Box, $one === DerivedFigure::BoxAboveSetPoint => false,
            $one instanceof Sign => $this->circuit && $one->row()->instrument !== null,
            $one instanceof Reading, $one instanceof Share, $one instanceof DerivedFigure => $this->circuit,
            default => false,
        };
    }
}
