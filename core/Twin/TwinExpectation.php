<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Place;
use Metrum\Findings\Sign;
use Metrum\Findings\Signals;
use Metrum\Findings\Weather;
use Metrum\Findings\Yardstick;
use Metrum\Installation\CondenserPlace;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Celsius;

/**
 * Expectation from the twin: the plant sized as this circuit is known, at this box and this weather.
 *
 * A sign is measured at the twin's states as it is measured at the plant. Deviations are those of the twin with the
 * instruments' own added as squares. What the twin does not carry (clocks, heaters, pump-down, counted fans) is still
 * expected from design values and house rules.
 */
final class TwinExpectation implements Expectation
{
    /** K around the design box, and K of weather, in which the twin is asked. */
    private const COLDER_BOX = 15.0;

    private const WARMER_BOX = 30.0;

    private const COLDEST = Celsius::ZERO - 40.0;

    private const HOTTEST = Celsius::ZERO + 52.0;

    /** K that the pictures' band is wide at least. */
    private const LEAST_BAND = 0.5;

    /** How many times wider a sign is that depends on weather nobody read. */
    private const BLIND = 1.25;

    private readonly Twin $sound;

    private readonly DesignExpectation $plain;

    public readonly Surroundings $around;

    private readonly bool $weatherKnown;

    private ?Yardstick $yardstick = null;

    /** @var \WeakMap<PlantState, array<string, Figures>> figures of states, by what was left out of them */
    private \WeakMap $figures;

    /** @var array<string, ?Expected> */
    private array $known = [];

    /**
     * @param  Twin  $twin  of the plant as it is built
     * @param  ?Twin  $sound  of the same, controlled as it ought to be; null where it is
     */
    public function __construct(
        private readonly Findings $findings,
        private readonly HouseRules $rules,
        public readonly Twin $twin,
        ?Twin $sound = null,
    ) {
        $this->sound = $sound ?? $twin;
        $this->figures = new \WeakMap();
        $circuit = $findings->circuit;
        $this->plain = new DesignExpectation($findings, $rules);
        $ambient = $findings->reading(Reading::AmbientTemperature);
        $hottest = min(self::HOTTEST, Surroundings::hottest($circuit->fluid()));
        $this->weatherKnown =
            $ambient !== null && $ambient <= $hottest && $circuit->condenser !== CondenserPlace::Water;
        $design = $twin->machine->design;
        $air = $this->weatherKnown ? (float) $ambient : $design->ambient;
        $box = $findings->reading(Reading::BoxTemperature) ?? $design->box;
        $this->around = new Surroundings(
            max(self::COLDEST, min($hottest, $air)),
            max($design->box - self::COLDER_BOX, min($design->box + self::WARMER_BOX, $box)),
            atmosphere: $circuit->atmosphere->pascal,
        );
    }

    public function healthy(Sign $sign): ?Expected
    {
        if (! array_key_exists($sign->value, $this->known)) {
            $this->known[$sign->value] = $this->worked($sign);
        }

        return $this->known[$sign->value];
    }

    public function reading(Reading $reading): ?Expected
    {
        $isOfSize = $reading === Reading::CompressorCurrent;
        if (! $this->weatherKnown || ($isOfSize && $this->findings->circuit->design->ratedCurrent === null)) {
            return null;
        }

        return $this->sound->expected(
            $this->around,
            'reading '.$reading->value,
            static fn (PlantState $state): ?float => $state->readings[$reading->value] ?? null,
        );
    }

    public function by(): string
    {
        return 'this system’s twin';
    }

    public function isCold(): ?bool
    {
        return $this->plain->isCold();
    }

    /** What some signs are measured by. */
    public function yardstick(): Yardstick
    {
        return $this->yardstick ??= new Yardstick(
            $this->healthy(Sign::TdCoil)?->value,
            $this->healthy(Sign::TdSuction)?->value,
            $this->healthy(Sign::Split)?->value,
        );
    }

    public function run(): array
    {
        $run = [];
        foreach ($this->places() as $place) {
            $source = self::source($place);
            $one = $this->sound->expected(
                $this->around,
                'at '.$place->value,
                fn (PlantState $state): ?float => $source instanceof Reading
                    ? $state->reading($source)
                    : $this->figuresOf($state, [])->value($source),
            );
            if ($one !== null) {
                $run[$place->value] = new Expected($one->value, hypot($one->deviation, self::LEAST_BAND));
            }
        }

        return $run === [] ? $this->plain->run() : $run;
    }

    /** @return list<Place> the places of which something is known here and now */
    private function places(): array
    {
        $boxKnown =
            $this->findings->reading(Reading::BoxTemperature) !== null ||
            $this->findings->circuit->design->boxSetPoint !== null;
        $high = [
            Place::CondenserIn,
            Place::CondenserOut,
            Place::CondenserOutlet,
            Place::ReceiverOutlet,
            Place::DrierOutlet,
            Place::ValveInlet,
        ];
        $low = [Place::CoilIn, Place::CoilOut, Place::Bulb, Place::SuctionPipe];

        return [
            ...$this->weatherKnown && $boxKnown ? [Place::Discharge] : [],
            ...$this->weatherKnown ? $high : [],
            ...$boxKnown ? $low : [],
        ];
    }

    /** Where the twin has a reading of its own for a place, it is taken. */
    private static function source(Place $place): Reading|DerivedFigure
    {
        return match ($place) {
            Place::ReceiverOutlet => Reading::DrierInletTemperature,
            Place::CoilIn => Reading::CoilInletTemperature,
            default => $place->source(),
        };
    }

    private function worked(Sign $sign): ?Expected
    {
        $row = $sign->row();
        $blind = ! $this->weatherKnown && $row->weather !== Weather::Apart;
        if ($row->instrument === null || ($blind && $row->weather === Weather::Needed)) {
            return $this->plain->healthy($sign);
        }
        $one = $this->sound->expected(
            $this->around,
            $sign->value,
            fn (PlantState $state): ?float => $this->measured($state, $sign),
        );
        if ($one === null) {
            return $this->plain->healthy($sign);
        }
        $wider = ($blind ? self::BLIND : 1.0) * $this->plain->unrest();

        return (new Expected($one->value, hypot($one->deviation, $row->instrument)))->widened($wider);
    }

    /** The sign as it is measured at the plant: without the readings that it stands without. */
    private function measured(PlantState $state, Sign $sign): ?float
    {
        $without = $sign->row()->without;
        $findings = $this->findingsOf($state)->without($without);
        $isOfAir = $sign === Sign::AirDrop || $sign === Sign::AirRise;
        $by = $isOfAir ? $this->yardstick() : new Yardstick();

        return (new Signals($findings, $this->figuresOf($state, $without), $by))->measured($sign);
    }

    /** @param  list<Reading>  $without */
    private function figuresOf(PlantState $state, array $without): Figures
    {
        $key = implode(' ', array_column($without, 'value'));
        $this->figures[$state] ??= [];

        return $this->figures[$state][$key] ??= Figures::of(
            $this->findingsOf($state)->without($without),
            $this->rules,
        );
    }

    private function findingsOf(PlantState $state): Findings
    {
        return new Findings($this->findings->circuit, readings: $state->readings);
    }
}
