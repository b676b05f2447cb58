<?php

namespace App\Picture;

use Metrum\Circuit\Reading;
use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;

/** The temperatures along the circuit, in the order in which refrigerant passes the places. */
final class CourseRun
{
    public const PLACES = [
        'discharge' => 'Discharge pipe',
        'condenser_in' => 'Condensing, dew',
        'condenser_out' => 'Condensing, bubble',
        'condenser_outlet' => 'Leaving the condenser',
        'receiver_outlet' => 'Leaving the receiver',
        'drier_inlet' => 'Before the drier',
        'drier_outlet' => 'After the drier',
        'valve_inlet' => 'Entering the valve',
        'coil_in' => 'Coil, inlet',
        'coil_out' => 'Coil, dew',
        'bulb' => 'At the bulb',
        'suction_pipe' => 'At the compressor',
    ];

    /** Places that stand for an instrument; the others come from a pressure. */
    private const CLAMPS = [
        'discharge' => Reading::DischargeTemperature,
        'condenser_outlet' => Reading::CondenserOutletTemperature,
        'receiver_outlet' => Reading::ReceiverOutletTemperature,
        'drier_inlet' => Reading::DrierInletTemperature,
        'drier_outlet' => Reading::DrierOutletTemperature,
        'valve_inlet' => Reading::ValveInletTemperature,
        'bulb' => Reading::SuctionTemperatureEvaporator,
        'suction_pipe' => Reading::SuctionTemperatureCompressor,
    ];

    private const SATURATED = [
        'condenser_in' => Derived::CondensingDew,
        'condenser_out' => Derived::SaturatedCondensing,
        'coil_in' => Derived::CoilInlet,
        'coil_out' => Derived::SaturatedEvaporator,
    ];

    /** @return array<string, float> K, in order; only what is known */
    public static function measured(Findings $findings, Figures $figures): array
    {
        $run = [];
        foreach (array_keys(self::PLACES) as $place) {
            $value = match (true) {
                isset(self::CLAMPS[$place]) => $findings->reading(self::CLAMPS[$place]),
                isset(self::SATURATED[$place]) => $figures->value(self::SATURATED[$place]),
                default => null,
            };
            if ($value !== null) {
                $run[$place] = $value;
            }
        }

        return $run;
    }

    public static function isClamp(string $place): bool
    {
        return isset(self::CLAMPS[$place]);
    }

    /** Whether a line may be drawn between two neighbours of the run: nothing that must be known lies between them. */
    public static function joins(string $from, string $to): bool
    {
        $liquid = ['condenser_outlet', 'receiver_outlet', 'drier_inlet', 'drier_outlet', 'valve_inlet'];
        $order = array_keys(self::PLACES);
        if (in_array($to, $liquid, true)) {
            return $from === 'condenser_out' || in_array($from, $liquid, true);
        }

        return (int) array_search($to, $order, true) === (int) array_search($from, $order, true) + 1;
    }
}
