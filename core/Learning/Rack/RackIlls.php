<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Installation\Branch;
use Metrum\Installation\DefrostKind;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Installation;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\State;
use Metrum\Twin\Dice;
use Metrum\Twin\Rack\RackIll;

/** What may be wrong at a rack, as often as it is drawn, and where. */
final readonly class RackIlls
{
    /** Of what all circuits share, by weight. */
    public const PLANT = [
        'undercharge' => 2.4,
        'overcharge' => 1.0,
        'non_condensables' => 1.0,
        'condenser_airflow_low' => 1.6,
        'compressor_inefficient' => 1.1,
        'head_pressure_low' => 0.9,
        'compressor_out' => 1.1,
        'suction_set_wrong' => 1.4,
        'oil_return_poor' => 0.5,
    ];

    /** Of one circuit or case. */
    public const CIRCUIT = [
        'valve_underfeeding' => 1.2,
        'valve_overfeeding' => 1.1,
        'liquid_line_restriction' => 1.0,
        'liquid_solenoid_shut' => 0.9,
        'evaporator_airflow_low' => 1.3,
        'evaporator_iced' => 1.3,
        'excess_load' => 1.3,
        'regulator_set_high' => 0.9,
        'regulator_set_low' => 0.8,
        'hot_gas_leaking' => 0.7,
        'suction_restriction' => 0.4,
    ];

    /** Of one case, where a circuit has several. */
    private const OF_CASE = [
        Fault::ValveUnderfeeding,
        Fault::ValveOverfeeding,
        Fault::EvaporatorAirflowLow,
        Fault::EvaporatorIced,
        Fault::ExcessLoad,
    ];

    /** Shares of visits at which nothing is wrong, and at which it is what all share. */
    private const SOUND = 0.24;

    private const SHARED = 0.42;

    /** Share of visits with something wrong that all share at which a circuit has a fault of its own. */
    private const BESIDE = 0.3;

    private const LEAST = 0.2;

    /** A shortage is looked for as soon as the level tells of it. */
    private const LEAST_SHORT = 0.08;

    public function __construct(private Dice $dice)
    {
    }

    /** First what is wrong, so that weather can be drawn to it. */
    public function fault(): Fault
    {
        $dice = $this->dice;

        return match (true) {
            $dice->chance(self::SOUND) => Fault::NoFault,
            $dice->chance(self::SHARED / (1 - self::SOUND)) => Fault::from($dice->weighed(self::PLANT)),
            default => Fault::from($dice->weighed(self::CIRCUIT)),
        };
    }

    /**
     * What is wrong at a circuit beside what all share; nothing as a rule.
     *
     * @param  array<string, State>  $states
     */
    public function beside(Installation $plant, RackIll $ill, array $states): RackIll
    {
        $isPossible = $ill->fault !== Fault::NoFault && $ill->circuit === null;
        $fault = $isPossible && $this->dice->chance(self::BESIDE)
            ? Fault::from($this->dice->weighed(array_diff_key(self::CIRCUIT, [Fault::LiquidSolenoidShut->value => 0])))
            : Fault::NoFault;

        return $this->at($plant, $fault, $states) ?? RackIll::none();
    }

    /**
     * @param  array<string, State>  $states
     * @return ?RackIll null where such a plant cannot have it
     */
    public function at(Installation $plant, Fault $fault, array $states): ?RackIll
    {
        $dice = $this->dice;
        if ($fault === Fault::NoFault) {
            return RackIll::none();
        }
        $severity = $dice->between($fault === Fault::Undercharge ? self::LEAST_SHORT : self::LEAST, 1.0);
        $shares = FaultCatalogue::entry($fault)->shares();
        $cause = $shares === [] ? null : Cause::from($dice->weighed($shares));
        if (isset(self::PLANT[$fault->value])) {
            return self::isPossible($plant, $fault)
                ? new RackIll(
                    $fault,
                    $severity,
                    cause: $cause,
                    compressor: (int) $dice->between(0.0, count($plant->groups[0]->compressors) - 0.01),
                    low: $dice->chance(0.5),
                )
                : null;
        }
        $possible = array_values(
            array_filter(
                $plant->branches,
                static fn (Branch $branch): bool => $states[$branch->part->value] === State::RunningSettled &&
                    self::canHave($branch, $fault),
            ),
        );
        if ($possible === []) {
            return null;
        }
        $branch = $dice->one($possible);
        $isOfCase = in_array($fault, self::OF_CASE, true);

        return new RackIll($fault, $severity, $branch->part, $isOfCase ? 0 : -1, $cause);
    }

    private static function isPossible(Installation $plant, Fault $fault): bool
    {
        $isHeld = $plant->highSide->headPressureControl !== HeadPressureControl::None;

        return $isHeld || $fault !== Fault::HeadPressureLow;
    }

    private static function canHave(Branch $branch, Fault $fault): bool
    {
        if ($fault === Fault::RegulatorSetHigh || $fault === Fault::RegulatorSetLow) {
            return $branch->regulator?->isFitted === true;
        }

        return $fault !== Fault::HotGasLeaking || $branch->load->defrost === DefrostKind::HotGas;
    }
}
