<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Installation\BoxControl;
use Metrum\Installation\Branch;
use Metrum\Installation\CaseForm;
use Metrum\Installation\Coil;
use Metrum\Installation\CompressorUnit;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\DefrostKind;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\HighSide;
use Metrum\Installation\Installation;
use Metrum\Installation\Kind;
use Metrum\Installation\Load;
use Metrum\Installation\Metering;
use Metrum\Installation\PartId;
use Metrum\Installation\PartKind;
use Metrum\Installation\RackDesign;
use Metrum\Installation\Regulator;
use Metrum\Installation\SuctionGroup;
use Metrum\Installation\SuctionHold;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Celsius;
use Metrum\Twin\Dice;
use Metrum\Twin\Rack\RackSizing;

/** Plausible plants of several circuits, wholly planned; the same seed gives the same. */
final readonly class RandomRacks
{
    private const MEDIUM = ['R-448A', 'R-449A', 'R-404A', 'R-507A', 'R-407A', 'R-134a', 'R-22', 'R-513A', 'R-407F'];

    private const LOW = ['R-448A', 'R-449A', 'R-404A', 'R-507A', 'R-407A', 'R-407F', 'R-22'];

    private const FORMS = [
        'open_multideck' => 4.0,
        'glass_door' => 3.0,
        'service' => 1.2,
        'island' => 1.0,
    ];

    /** How many cases a circuit has, and compressors a rack. */
    private const CASES = [1, 1, 2, 2, 2, 3, 3, 3, 4, 4];

    private const COMPRESSORS = [2, 3, 3, 3, 4, 4, 4, 5, 6];

    /** °C of set points, above and below freezing. */
    private const MEDIUM_SET = [-1.0, 5.0];

    private const LOW_SET = [-24.0, -18.0];

    public function __construct(private Dice $dice)
    {
    }

    /** @param  ?int  $circuits  how many; null: 4 to 14 */
    public function plant(?int $circuits = null): Installation
    {
        $dice = $this->dice;
        $low = $dice->chance(0.35);
        $refrigerant = $dice->one($low ? self::LOW : self::MEDIUM);
        $group = PartId::shared(PartKind::Group, '1');
        $branches = [];
        $cooling = 0.0;
        $count = $circuits ?? (int) $dice->between(4.0, 14.99);
        for ($i = 1; $i <= max(1, $count); $i++) {
            $branches[] = $branch = $this->branch(PartId::circuit($i), $group, $low);
            $cooling += (float) $branch->capacity;
        }
        assert($branches !== []);

        return new Installation(
            $this->highSide($refrigerant, $cooling, $low),
            [new SuctionGroup($group, SuctionHold::ByPressure, false, $this->compressors($cooling))],
            $branches,
            Atmosphere::atAltitude($dice->chance(0.15) ? $dice->between(300.0, 1500.0) : 0.0),
        );
    }

    private function branch(PartId $part, PartId $group, bool $low): Branch
    {
        $dice = $this->dice;
        $isRoom = $dice->chance(0.28);
        $form = $isRoom ? null : CaseForm::from($dice->weighed(self::FORMS));
        $cases = $isRoom ? 1 : $dice->one(self::CASES);
        $each = $isRoom ? $dice->between(2.5, 12.0) : $dice->between(1.0, 4.2);
        $regulated = $dice->chance(0.54);
        $defrost = match (true) {
            $dice->chance(0.33) => DefrostKind::HotGas,
            $low => DefrostKind::Electric,
            default => DefrostKind::OffCycle,
        };
        $coils = [];
        $capacity = 0.0;
        for ($i = 1; $i <= $cases; $i++) {
            $own = 1e3 * $each * $dice->factor(0.08);
            $capacity += $own;
            $coils[] = new Coil(
                $part->below(PartKind::Coil, (string) $i),
                null,
                form: $form,
                capacity: $isRoom ? null : $own,
            );
        }
        $kind = match (true) {
            $isRoom => $low ? Kind::WalkInFreezer : Kind::WalkInCooler,
            default => $low ? Kind::CaseLow : Kind::CaseMedium,
        };
        $control = match (true) {
            $regulated => BoxControl::PressureRegulator,
            $dice->chance(0.85) => BoxControl::Thermostat,
            default => null,
        };
        $difference = $dice->between(5.0, 8.0);
        assert($coils !== []);

        return new Branch(
            $part,
            $group,
            array_map(static fn (Coil $coil): Coil => $coil->differing($difference), $coils),
            new Load(
                $kind,
                $control,
                $defrost,
                Celsius::ZERO + $dice->between(...($low ? self::LOW_SET : self::MEDIUM_SET)),
            ),
            Metering::Txv,
            new Regulator($part->below(PartKind::Regulator), $regulated),
            superheat: $dice->between(3.0, 6.0),
            subcooling: 2.0,
            capacity: $capacity,
            coilVolume: RackSizing::COILS * $capacity * $dice->factor(0.2),
            suctionDrop: $dice->between(0.4, 1.8),
        );
    }

    private function highSide(string $refrigerant, float $cooling, bool $low): HighSide
    {
        $dice = $this->dice;

        return new HighSide(
            $refrigerant,
            CondenserPlace::AirOutdoor,
            HeadPressureControl::from(
                $dice->weighed(['fan_cycling' => 5.0, 'flooding_valve' => 3.0, 'none' => 1.2, 'fan_speed' => 1.0]),
            ),
            true,
            $low ? $dice->between(6.5, 11.0) : $dice->between(8.0, 13.0),
            Celsius::ZERO + $dice->between(-18.0, -5.0),
            RackSizing::RECEIVER * $cooling * $dice->factor(0.25),
            RackSizing::CONDENSER * $cooling * $dice->factor(0.25),
            null,
            rack: new RackDesign(
                level: $dice->between(0.35, 0.62),
                levelAmbient: Celsius::ZERO + $dice->between(18.0, 30.0),
                reclaimVolume: RackSizing::RECLAIM * $cooling * $dice->factor(0.3),
                liquidVolume: RackSizing::LIQUID * $cooling * $dice->factor(0.25),
            ),
        );
    }

    /** @return list<CompressorUnit> */
    private function compressors(float $cooling): array
    {
        $dice = $this->dice;
        $count = $dice->one(self::COMPRESSORS);
        $units = [];
        $same = $dice->chance(0.6);
        for ($i = 1; $i <= $count; $i++) {
            $size = ($cooling / $count) * ($same ? 1.0 : $dice->between(0.6, 1.4)) * $dice->between(0.95, 1.15);
            $units[] = new CompressorUnit(
                PartId::shared(PartKind::Compressor, (string) $i),
                'C'.$i,
                $size,
                $size / 1e3 * $dice->between(0.75, 1.05),
            );
        }

        return $units;
    }
}
