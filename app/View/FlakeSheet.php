<?php

namespace App\View;

use App\Models\Visit;
use App\Picture\IceTrendPicture;
use App\Records\IceHistory;
use App\Records\JudgedVisit;
use Metrum\Findings\Findings;
use Metrum\Installation\Condition;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Twin\Expected;
use Metrum\Twin\Ice\FlakeIce;

/** One page of a flake ice machine: what it makes in a day, how wet that is, and what turns its auger. */
final readonly class FlakeSheet
{
    private const OFF = 2.0;

    /** Air and water where nobody read them. */
    private const USUAL = [Celsius::ZERO + 22.0, Celsius::ZERO + 13.0];

    /** Shares of unfrozen water between which flake ice is usual. */
    private const MOISTURE = [0.15, 0.30];

    /** Share by which an auger draws more than when it ran well, from which bearings or scale are looked for. */
    private const HEAVY = 0.2;

    /** kg by whose unit those of a day are told. */
    private const OF_A_DAY = 100.0;

    /** kg a day in this air with this water; null where its loop does not run so. */
    private ?Expected $should;

    private function __construct(
        private Visit $visit,
        private Findings $findings,
        private FlakeIce $ice,
        private ?float $wellTurned,
        private Units $units,
    ) {
        $this->should = $this->withWater($this->water());
    }

    /** Null where it is no flake machine, or none can be simulated. */
    public static function of(JudgedVisit $judged, Units $units): ?self
    {
        $findings = $judged->present();
        $isFlakes = Condition::Flakes->holds($findings->circuit) === true;
        $twin = $judged->twin();

        return ! $isFlakes || $twin === null ? null : new self(
            $judged->visit,
            $findings,
            new FlakeIce($findings->circuit, $twin->twin),
            self::turnedWell($judged),
            $units,
        );
    }

    /** A that its auger drew when it last ran well; null where nobody read it then. */
    private static function turnedWell(JudgedVisit $judged): ?float
    {
        foreach ($judged->assessment->good as $good) {
            $current = $good->reading(Reading::GearboxCurrent);
            if ($current !== null) {
                return $current;
            }
        }

        return null;
    }

    private function air(): float
    {
        return $this->findings->reading(Reading::AmbientTemperature) ?? self::USUAL[0];
    }

    private function water(): float
    {
        return $this->findings->reading(Reading::WaterTemperature) ?? self::USUAL[1];
    }

    /** kg; null where it was not weighed. */
    private function made(): ?float
    {
        return IceHistory::perDay($this->findings->readings);
    }

    /** kg a day in this air. @param  float  $water  K of what enters */
    private function withWater(float $water): ?Expected
    {
        return $this->ice->perDay($this->air(), $water, $this->findings->reading(Reading::IceMoisture));
    }

    /** "● 210 kg a day"; empty where it was not weighed. */
    public function perDay(): string
    {
        $made = $this->made();

        return $made === null ? '' : trim($this->mark().' '.$this->whole($made).' a day');
    }

    private function mark(): string
    {
        $made = $this->made();

        return match (true) {
            $made === null, $this->should === null => '',
            abs($made - $this->should->value) > self::OFF * $this->should->deviation => '●',
            default => '○',
        };
    }

    private function whole(float $kilograms): string
    {
        $unit = $this->units->ofMass(self::OF_A_DAY);

        return Format::number($unit->fromSi($kilograms), 0).' '.$unit->symbol();
    }

    /** "expected 230 ± 14 kg a day at air 24 °C, water 14 °C" */
    public function expected(): string
    {
        $missing = array_keys(array_filter([
            'air' => $this->findings->reading(Reading::AmbientTemperature) === null,
            'water' => $this->findings->reading(Reading::WaterTemperature) === null,
        ]));

        return $this->should === null ? '' : sprintf(
            'expected %s ± %s a day at air %s, water %s%s, %s',
            Format::number($this->units->ofMass(self::OF_A_DAY)->fromSi($this->should->value), 0),
            $this->whole($this->should->deviation),
            $this->units->text($this->air(), QuantityKind::Temperature),
            $this->units->text($this->water(), QuantityKind::Temperature),
            $missing === [] ? '' : ' (assumed: '.implode(', ', $missing).')',
            IceSheet::basedOn($this->findings->circuit->design),
        );
    }

    /** @return list<array{name: string, mark: string, value: string, expected: string}> */
    public function figures(): array
    {
        return [$this->moisture(), $this->gearbox()];
    }

    /** @return array{name: string, mark: string, value: string, expected: string} */
    private function moisture(): array
    {
        $share = $this->findings->reading(Reading::IceMoisture);
        [$least, $most] = self::MOISTURE;

        return [
            'name' => 'Moisture',
            'mark' => match (true) {
                $share === null => '',
                $share < $least, $share > $most => '●',
                default => '○',
            },
            'value' => $share === null ? 'not measured' : $this->units->text($share, QuantityKind::Share),
            'expected' => 'usual '.$this->units->number($least, QuantityKind::Share).' to '.
                $this->units->text($most, QuantityKind::Share),
        ];
    }

    /** @return array{name: string, mark: string, value: string, expected: string} */
    private function gearbox(): array
    {
        $current = $this->findings->reading(Reading::GearboxCurrent);
        $well = $this->wellTurned;

        return [
            'name' => 'Gearbox',
            'mark' => match (true) {
                $current === null, $well === null => '',
                $current > (1 + self::HEAVY) * $well => '●',
                default => '○',
            },
            'value' => $current === null ? 'not measured' : $this->units->text($current, QuantityKind::Current),
            'expected' => $well === null
                ? 'not read when it ran well'
                : $this->units->text($well, QuantityKind::Current).' when it ran well',
        ];
    }

    /** What that says, in one sentence; empty where nothing was measured. */
    public function sentence(): string
    {
        $share = $this->findings->reading(Reading::IceMoisture);
        $made = $this->made();
        $isLow = $this->should !== null && $this->mark() === '●' && $made < $this->should->value;
        $heavy = $this->gearbox()['mark'] === '●'
            ? ' Auger heavier than before: bearings, scale, too little water.'
            : '';

        return trim(match (true) {
            $share > self::MOISTURE[1] => 'Wet ice: warm water, scale on the barrel, high water level '.
                'or a weak circuit.',
            $share !== null && $share < self::MOISTURE[0] => 'Dry, hard ice: water level low or inlet throttled.',
            $isLow => 'Too little ice of usual moisture: condenser, charge and water first.',
            $made !== null => 'It makes what it should.',
            default => '',
        }.$heavy);
    }

    public function trend(): ?IceTrendPicture
    {
        $made = $this->made();

        return IceTrendPicture::of(
            $this->withWater(...),
            IceHistory::of($this->visit),
            $made === null ? null : [$this->water(), $made],
            $this->units,
        );
    }
}
