<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Wanted;
use Metrum\Knowledge\Word;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Quantity\Magnitude;

/** The signs that a plant is short of refrigerant: which stand, which speak against it, which were not looked at. */
final readonly class Shortage
{
    /** K of subcooling behind a receiver below which no liquid seals its outlet. */
    private const SEALED = 1.0;

    /** K above the wanted superheat from which a coil is starved. */
    private const STARVED = 2.5;

    /** Share of the receiver below which its outlet draws gas. */
    private const LOW = 0.1;

    /**
     * @param  list<Sentence>  $for
     * @param  list<Sentence>  $against
     * @param  list<array{Sentence, Asked}>  $open  what was not looked at, and what would tell
     */
    private function __construct(public array $for, public array $against, public array $open)
    {
    }

    public static function of(Findings $findings, Figures $figures, HouseRules $rules): self
    {
        $wanted = new Wanted($findings->circuit, $rules);
        $signs = [
            self::subcooling($findings, $figures, $wanted),
            self::glass($findings),
            self::superheat($figures, $wanted),
            ...$findings->circuit->hasReceiver() ? [self::level($findings)] : [],
        ];
        [$for, $against, $open] = [[], [], []];
        foreach ($signs as [$speaks, $said, $by]) {
            match ($speaks) {
                true => $for[] = $said,
                false => $against[] = $said,
                null => $open[] = [$said, $by],
            };
        }

        return new self($for, $against, $open);
    }

    /** Whether at least two stand: one alone is never enough (N-01). */
    public function isShown(): bool
    {
        return count($this->for) > 1;
    }

    /** Whether it may still be shown by what was not looked at. */
    public function isOpen(): bool
    {
        return ! $this->isShown() && count($this->for) + count($this->open) > 1;
    }

    /** @return array{?bool, Sentence, Asked} */
    private static function subcooling(Findings $findings, Figures $figures, Wanted $wanted): array
    {
        $value = $figures->value(DerivedFigure::Subcooling);
        $by = $findings->circuit->hasReceiver()
            ? Reading::ReceiverOutletTemperature
            : Reading::CondenserOutletTemperature;
        if ($value === null) {
            return [null, Sentence::of(Reason::SignSubcooling), $by];
        }
        $least = $findings->circuit->hasReceiver() ? self::SEALED : $wanted->subcooling()->low;
        $said = Sentence::of(Reason::SubcoolingIs, value: Magnitude::difference($value));

        return [$value < $least, $said, $by];
    }

    /** @return array{?bool, Sentence, Asked} */
    private static function glass(Findings $findings): array
    {
        $seen = $findings->observed(Observation::SightGlass);

        return match ($seen) {
            Word::Bubbles => [true, Sentence::of(Reason::GlassBubbles), Observation::SightGlass],
            Word::Clear => [false, Sentence::of(Reason::GlassClear), Observation::SightGlass],
            default => [null, Sentence::of(Reason::SignGlass), Observation::SightGlass],
        };
    }

    /** @return array{?bool, Sentence, Asked} */
    private static function superheat(Figures $figures, Wanted $wanted): array
    {
        $value = $figures->value(DerivedFigure::EvaporatorSuperheat);
        if ($value === null) {
            return [null, Sentence::of(Reason::SignSuperheat), Reading::SuctionTemperatureEvaporator];
        }
        $starved = $value > $wanted->superheat()->high + self::STARVED;

        $said = Sentence::of(Reason::SuperheatIs, value: Magnitude::difference($value));

        return [$starved, $said, Reading::SuctionTemperatureEvaporator];
    }

    /** @return array{?bool, Sentence, Asked} */
    private static function level(Findings $findings): array
    {
        $level = $findings->reading(Reading::ReceiverLevel);

        return $level === null
            ? [null, Sentence::of(Reason::SignLevel), Reading::ReceiverLevel]
            : [
                $level < self::LOW,
                Sentence::of(Reason::ReceiverAt, level: Magnitude::share($level)),
                Reading::ReceiverLevel,
            ];
    }
}
