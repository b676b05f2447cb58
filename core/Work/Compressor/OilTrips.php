<?php

declare(strict_types=1);

namespace Metrum\Work\Compressor;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Mark;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;

/** Which cause of oil trips is borne out by what was found, and what is still open: the first is worked first. */
final readonly class OilTrips
{
    /** Pa of net oil pressure below which a pump, or what it draws, does not do. */
    private const LEAST_PRESSURE = 100e3;

    private ?float $superheat;

    public function __construct(private Findings $findings, private HouseRules $rules)
    {
        $this->superheat = Figures::of($findings, $rules)->value(DerivedFigure::CompressorSuperheat);
    }

    /** @return array<string, Mark> act where it stands, fine where it is ruled out, else look; by OilCause */
    public function marks(): array
    {
        $liquid = $this->liquid();
        $oil = $this->oil($liquid);

        return [
            OilCause::LiquidReturn->value => $liquid,
            OilCause::OilSystem->value => $oil,
            OilCause::Wear->value => $this->wear(),
        ];
    }

    /** The first cause that stands, else the first that is open; null where all are ruled out. */
    public function first(): ?OilCause
    {
        $marks = $this->marks();
        foreach ([Mark::Act, Mark::Look] as $wanted) {
            $place = array_search($wanted, $marks, true);
            if ($place !== false) {
                return OilCause::from($place);
            }
        }

        return null;
    }

    /** What is read or asked next for a cause that is open. */
    public function next(OilCause $cause): Reading|Observation|Test|null
    {
        return $this->marks()[$cause->value] !== Mark::Look ? null : match ($cause) {
            OilCause::LiquidReturn => $this->superheat === null
                ? Reading::SuctionTemperatureCompressor
                : Observation::OilLevel,
            OilCause::OilSystem => $this->findings->observed(Observation::OilLevel) === null
                ? Observation::OilLevel
                : Reading::OilPressureDifference,
            OilCause::Wear => Test::CrankcaseRise,
        };
    }

    private function liquid(): Mark
    {
        $level = $this->findings->observed(Observation::OilLevel);
        $floor = $this->rules->band(HouseRule::CompressorSuperheatFloor);

        return match (true) {
            $level === Word::Foaming => Mark::Act,
            $this->superheat !== null && $this->superheat < $floor->high => Mark::Act,
            $this->superheat === null, $level === null => Mark::Look,
            default => Mark::Fine,
        };
    }

    private function oil(Mark $liquid): Mark
    {
        $level = $this->findings->observed(Observation::OilLevel);
        $pressure = $this->findings->reading(Reading::OilPressureDifference);
        $isWeak = $pressure !== null && $pressure < self::LEAST_PRESSURE;

        return match (true) {
            $level === Word::Low && $liquid !== Mark::Act => Mark::Act,
            $level === Word::Normal && $isWeak && $liquid !== Mark::Act => Mark::Act,
            $level === Word::Normal && $pressure !== null => Mark::Fine,
            default => Mark::Look,
        };
    }

    private function wear(): Mark
    {
        return match ($this->findings->tests[Test::CrankcaseRise->value] ?? null) {
            Word::Rises => Mark::Act,
            Word::FollowsSuction => Mark::Fine,
            default => Mark::Look,
        };
    }
}
