<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;

/** What nobody need ask, since what was found tells it already. */
final readonly class KnownAnswers
{
    /** Ratio of pressures that only a running compressor holds. */
    private const HELD = 1.6;

    /** K of superheat at the bulb up to which liquid is passing the solenoid. */
    private const FED = 20.0;

    public function __construct(private Findings $findings, private Figures $figures)
    {
    }

    public function is(Asked $key): bool
    {
        return match ($key) {
            Observation::Compressor => $this->runs(),
            Observation::LiquidSolenoid => $this->isFed(),
            Observation::EvaporatorFans => $this->findings->reading(Reading::FansRunning) !== null,
            Reading::FansRunning, Reading::FansFitted => $this->findings->observed(
                Observation::EvaporatorFans,
            ) !== null,
            Observation::ReceiverFeel => $this->findings->reading(Reading::ReceiverLevel) !== null &&
                $this->findings->reading(Reading::ReceiverOutletTemperature) !== null,
            Test::ValveBulbIced => $this->findings->tested(Test::ValveBulbWarmed) !== null,
            Test::ValveBulbWarmed => $this->findings->tested(Test::ValveBulbIced) !== null,
            Test::CrankcaseRise => $this->findings->tested(Test::CompressorLeakBack) !== null,
            Test::CompressorLeakBack => $this->findings->tested(Test::CrankcaseRise) !== null ||
                $this->findings->reading(Reading::PumpDownRise) !== null,
            Observation::LiquidLineFeel => $this->hasBothSides(),
            default => false,
        };
    }

    /** Both sides of the drier were clamped: a hand tells no more. */
    private function hasBothSides(): bool
    {
        return $this->figures->value(DerivedFigure::DrierDrop) !== null;
    }

    private function runs(): bool
    {
        $ratio = $this->figures->value(DerivedFigure::CompressionRatio);

        return $this->findings->state?->runs() === true || ($ratio !== null && $ratio > self::HELD);
    }

    private function isFed(): bool
    {
        $superheat = $this->figures->value(DerivedFigure::EvaporatorSuperheat);

        return $this->runs() && $superheat !== null && $superheat < self::FED;
    }
}
