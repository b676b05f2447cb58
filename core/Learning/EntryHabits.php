<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Installation\Circuit;
use Metrum\Installation\Design;
use Metrum\Installation\DesignKey;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Quantity\Atmosphere;
use Metrum\Twin\Dice;

/** How much of a visit is entered, and what is known of the plant: visits are incomplete, each in its own way. */
final readonly class EntryHabits
{
    /** How often each is taken at a usual visit; all others seldom. */
    private const USUAL = [
        'suction_pressure_kpa' => 0.95,
        'discharge_pressure_kpa' => 0.93,
        'ambient_temperature_c' => 0.93,
        'box_temperature_c' => 0.9,
        'suction_temperature_evaporator_c' => 0.85,
        'suction_temperature_compressor_c' => 0.7,
        'discharge_temperature_c' => 0.55,
        'condenser_outlet_temperature_c' => 0.55,
        'drier_inlet_temperature_c' => 0.5,
        'drier_outlet_temperature_c' => 0.45,
        'compressor_current_a' => 0.5,
        'supply_air_temperature_c' => 0.45,
        'condenser_air_out_temperature_c' => 0.4,
        'valve_inlet_temperature_c' => 0.4,
        'receiver_outlet_temperature_c' => 0.45,
        'supply_voltage_v' => 0.3,
        'evaporator_pressure_kpa' => 0.12,
        'receiver_level_percent' => 0.22,
        'receiver_pressure_kpa' => 0.15,
        'coil_inlet_temperature_c' => 0.1,
        'drier_drop_kpa' => 0.08,
        'freeze_time_min' => 0.8,
        'harvest_time_min' => 0.65,
        'ice_per_cycle_kg' => 0.55,
        'measured_bridge_mm' => 0.5,
        'water_per_cycle_l' => 0.22,
        'water_temperature_c' => 0.75,
        'sump_temperature_c' => 0.38,
        'freeze_minute_min' => 0.85,
        'suction_begin_kpa' => 0.42,
        'suction_end_kpa' => 0.45,
        'discharge_end_kpa' => 0.38,
        'suction_harvest_kpa' => 0.1,
        'discharge_harvest_kpa' => 0.12,
    ];

    /** How often the coil's own pressure is taken where a regulator stands between it and the gauge. */
    private const AT_REGULATOR = 0.6;

    private const DESIGN_KNOWN = 0.65;

    /** Deviation of the logarithm of a design difference from what was really built. */
    private const DESIGN_OFF = 0.08;

    /** Share of readings and words that are entered, of the usual ones: for this visit. */
    private float $readings;

    private float $words;

    /** @param  bool  $whole  everything that can be taken is entered */
    public function __construct(private Dice $dice, private bool $whole = false)
    {
        [$this->readings, $this->words] = $whole
            ? [1.0, 1.0]
            : match ($dice->weighed(['looks' => 8, 'few' => 10, 'half' => 17, 'usual' => 48, 'all' => 17])) {
                'looks' => [0.0, $dice->between(0.1, 0.9)],
                'few' => [$dice->between(0.15, 0.5), $dice->between(0.05, 0.4)],
                'half' => [$dice->between(0.5, 0.8), $dice->between(0.2, 0.7)],
                'all' => [1.9, $dice->between(0.8, 1.6)],
                default => [1.0, $dice->between(0.4, 1.0)],
            };
    }

    /**
     * @param  array<string, float>  $measured
     * @return array<string, float> those that were taken
     */
    public function readings(array $measured, Circuit $circuit): array
    {
        $usual = $circuit->regulator === true
            ? [Reading::EvaporatorPressure->value => self::AT_REGULATOR] + self::USUAL
            : self::USUAL;

        return array_filter(
            $measured,
            fn (string $key): bool => $this->whole ||
                $this->dice->chance(min(0.98, $this->readings * ($usual[$key] ?? 0.05))),
            ARRAY_FILTER_USE_KEY,
        );
    }

    public function asks(Question $asked): bool
    {
        $often = $asked instanceof Test ? 0.035 : 0.2 + 0.5 * $asked->taking()->available;

        return $this->whole || $this->dice->chance(min(0.97, $this->words * $often));
    }

    /** What the technician's device knows of a plant: some of it, not all of it right. */
    public function known(Circuit $circuit): Circuit
    {
        $dice = $this->dice;
        $given = $circuit->design;
        $design = new Design();
        if ($dice->chance(self::DESIGN_KNOWN)) {
            foreach (DesignKey::cases() as $key) {
                $value = $given->value($key);
                if ($value !== null && $dice->chance(0.9)) {
                    $design = $design->with($key, $this->remembered($key, $value));
                }
            }
        }

        return new Circuit(
            $circuit->refrigerant,
            $circuit->kind,
            $dice->chance(0.95) ? $circuit->metering : null,
            $dice->chance(0.95) ? $circuit->condenser : null,
            $dice->chance(0.88) ? $circuit->headPressureControl : null,
            $dice->chance(0.93) ? $circuit->receiver : null,
            $dice->chance(0.95) ? $circuit->regulator : null,
            $circuit->suctionAccumulator,
            $circuit->boxControl,
            $dice->chance(0.95) ? $circuit->defrost : null,
            $design,
            $dice->chance(0.9) ? $circuit->atmosphere : Atmosphere::atAltitude(0),
            $dice->chance(0.6) ? $circuit->exchanger : null,
            ice: $circuit->ice,
        );
    }

    private function remembered(DesignKey $key, float $value): float
    {
        return match ($key) {
            DesignKey::EvaporatorTd,
            DesignKey::CondenserSplit,
            DesignKey::Superheat,
            DesignKey::Subcooling => $value * $this->dice->factor(self::DESIGN_OFF),
            DesignKey::BoxSetPoint,
            DesignKey::RatedCurrent,
            DesignKey::ColdestAmbient,
            DesignKey::ReceiverVolume,
            DesignKey::CondenserVolume,
            DesignKey::NameplateCharge,
            DesignKey::LiquidLineLength,
            DesignKey::LiquidLineBore,
            DesignKey::IcePerCycle,
            DesignKey::IcePerDay,
            DesignKey::IcePerDayHot,
            DesignKey::BridgeThickness => $value,
        };
    }
}
