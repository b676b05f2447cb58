<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\CondenserPlace;
use Metrum\Circuit\DefrostKind;
use Metrum\Circuit\HeadPressureControl;
use Metrum\Circuit\Kind;
use Metrum\Circuit\Metering;
use Metrum\Findings\Findings;
use Metrum\Plant\Expectation;

/** What is true, false or unknown of plant and weather, by the names that the data files use. */
final readonly class Conditions
{
    public function __construct(private Findings $findings, private Expectation $expectation)
    {
    }

    /** @throws \OutOfBoundsException for a name no file may use */
    public function holds(string $condition): ?bool
    {
        $circuit = $this->findings->circuit;

        return match ($condition) {
            'cold' => $this->expectation->isCold(),
            'cold_flooding' => $circuit->headPressureControl === HeadPressureControl::FloodingValve
                ? $this->expectation->isCold()
                : false,
            'flooding_valve' => self::is($circuit->headPressureControl, HeadPressureControl::FloodingValve),
            'outdoor' => self::is($circuit->condenser, CondenserPlace::AirOutdoor),
            'regulator' => $circuit->regulator,
            'hot_gas' => $circuit->kind === Kind::IceMachine
                ? true
                : self::is($circuit->defrost, DefrostKind::HotGas),
            'electric' => self::is($circuit->defrost, DefrostKind::Electric),
            'has_defrost' => $circuit->defrost === null ? null : $circuit->defrost !== DefrostKind::None,
            'ice_machine' => self::is($circuit->kind, Kind::IceMachine),
            'capillary' => self::is($circuit->metering, Metering::Capillary),
            'low_temperature' => $circuit->isLowTemperature(),
            default => throw new \OutOfBoundsException('No such condition: '.$condition),
        };
    }

    private static function is(?\UnitEnum $given, \UnitEnum $wanted): ?bool
    {
        return $given === null ? null : $given === $wanted;
    }
}
