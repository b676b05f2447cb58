<?php

namespace App\Picture;

use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Place;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Celsius;
use Metrum\Twin\Expectation;
use Metrum\Twin\Expected;

/** What a course shows, however it is drawn: measured and expected temperatures, air, judged gaps. Worked once. K. */
final readonly class CourseFacts
{
    /** @var array<string, float> measured temperatures by Place, in order; only what is known */
    public array $run;

    /** @var array<string, Expected> by Place */
    public array $expected;

    /** @var list<Gap> */
    public array $gaps;

    /** @var array<string, array{float, ?float}> air entering and leaving, by the Zone it belongs to */
    public array $air;

    /** @var list<Place> whose temperature is in doubt until it is taken again */
    public array $doubted;

    public bool $settled;

    private bool $lowTemperature;

    /** @param  list<Reading|Observation>  $doubted  what contradicts itself or others: drawn dashed, not judged */
    public function __construct(
        Findings $findings,
        Figures $figures,
        HouseRules $rules,
        Expectation $expectation,
        array $doubted = [],
    ) {
        $this->run = self::measured($findings, $figures);
        $this->expected = $expectation->run();
        $sound = $findings->without($doubted);
        $judged = $sound === $findings ? $figures : Figures::of($sound, $rules);
        $this->gaps = (new CourseGaps($sound, $judged, $rules, $expectation))->all();
        $this->doubted = self::inDoubt($figures, $doubted);
        $this->air = self::air($findings);
        $this->settled = $findings->isSettled();
        $this->lowTemperature = $findings->circuit->isLowTemperature();
    }

    public function isBlank(): bool
    {
        return $this->run === [] && $this->expected === [];
    }

    /** What would give the rest of the expected run; null where all of it is there. */
    public function missing(): ?string
    {
        $high = isset($this->expected[Place::CondenserIn->value]);
        $low = isset($this->expected[Place::CoilIn->value]);

        return match (true) {
            $high && $low => null,
            $low => 'Enter ambient to see the expected high side.',
            $high => 'Enter box temperature to see the expected coil.',
            default => 'Enter box and ambient temperature to see expected values.',
        };
    }

    /** @return array{float, float} lowest temperature shown, and the one from which the discharge line is folded */
    public function span(): array
    {
        $level = array_diff_key($this->run, [Place::Discharge->value => true]);
        foreach (array_diff_key($this->expected, [Place::Discharge->value => true]) as $place => $band) {
            $level[$place.' high'] = $band->value + $band->deviation;
            $level[$place.' low'] = $band->value - $band->deviation;
        }
        $low = ($level === [] ? Celsius::ZERO : min($level)) - Celsius::ZERO;
        $high = ($level === [] ? Celsius::ZERO : max($level)) - Celsius::ZERO;
        $usual = $this->lowTemperature ? -40.0 : -20.0;

        return [
            Celsius::ZERO + min($usual, 10.0 * floor(($low - 2) / 10)),
            Celsius::ZERO + max(50.0, 10.0 * ceil(($high + 1) / 10)),
        ];
    }

    /** Whether a line may be drawn between two neighbours of the run: nothing that must be known lies between. */
    public static function joins(Place $from, Place $to): bool
    {
        return $to->isLiquid() ? $from === Place::CondenserOut || $from->isLiquid() : $to->after($from) === 1;
    }

    /**
     * @param  list<Reading|Observation>  $doubted
     * @return list<Place>
     */
    private static function inDoubt(Figures $figures, array $doubted): array
    {
        $places = [];
        foreach (Place::cases() as $place) {
            $source = $place->source();
            $from = $source instanceof Reading ? [$source] : $figures->figure($source)->from ?? [];
            foreach ($from as $input) {
                if (in_array($input, $doubted, true)) {
                    $places[] = $place;
                    break;
                }
            }
        }

        return $places;
    }

    /** @return array<string, float> */
    private static function measured(Findings $findings, Figures $figures): array
    {
        $run = [];
        foreach (Place::cases() as $place) {
            $source = $place->source();
            $value = $source instanceof Reading ? $findings->reading($source) : $figures->value($source);
            if ($value !== null) {
                $run[$place->value] = $value;
            }
        }

        return $run;
    }

    /** @return array<string, array{float, ?float}> */
    private static function air(Findings $findings): array
    {
        $air = [];
        $ambient = $findings->reading(Reading::AmbientTemperature);
        if ($ambient !== null) {
            $leaving = $findings->reading(Reading::CondenserAirOutTemperature);
            $air[Zone::Condenser->value] = [$ambient, $leaving];
        }
        $box = $findings->reading(Reading::BoxTemperature);
        if ($box !== null) {
            $air[Zone::Coil->value] = [$box, $findings->reading(Reading::SupplyAirTemperature)];
        }

        return $air;
    }
}
