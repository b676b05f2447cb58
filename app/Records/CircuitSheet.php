<?php

namespace App\Records;

use App\View\Units;
use Metrum\Circuit\BoxControl;
use Metrum\Circuit\Circuit;
use Metrum\Circuit\CondenserPlace;
use Metrum\Circuit\DefrostKind;
use Metrum\Circuit\Design;
use Metrum\Circuit\HeadPressureControl;
use Metrum\Circuit\Kind;
use Metrum\Circuit\Metering;
use Metrum\Exchange\DesignUnits;
use Metrum\Exchange\VisitReader;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\Reader;
use Metrum\Refrigerant\Library;

/** The form of a circuit: its choices, its defaults by kind, and what was typed turned into the visit file's words. */
final class CircuitSheet
{
    public const LABELS = [
        'kind' => 'What it cools',
        'refrigerant' => 'Refrigerant',
        'metering' => 'Fed by',
        'condenser' => 'Condenser',
        'head_pressure_control' => 'Head pressure control',
        'box_control' => 'Box control',
        'defrost' => 'Defrost',
        'receiver' => 'Receiver',
        'evaporator_pressure_regulator' => 'Evaporator pressure regulator',
        'suction_accumulator' => 'Suction accumulator',
    ];

    public const DESIGN_LABELS = [
        'box_set_point_c' => 'Box set point',
        'evaporator_td_k' => 'TD, air to coil',
        'condenser_split_k' => 'Condenser split',
        'superheat_k' => 'Superheat at the bulb',
        'subcooling_k' => 'Subcooling',
        'rated_current_a' => 'Rated current',
        'coldest_ambient_c' => 'Coldest ambient',
        'receiver_volume_l' => 'Receiver volume',
        'condenser_volume_l' => 'Condenser volume',
        'nameplate_charge_kg' => 'Plate charge',
    ];

    public const FLAGS = ['receiver', 'evaporator_pressure_regulator', 'suction_accumulator'];

    /** @return array<string, array<string, string>> word => label, by system key */
    public static function choices(): array
    {
        $of = static function (string $enum): array {
            $labels = [];
            foreach ($enum::cases() as $case) {
                $labels[$case->value] = $case->label();
            }

            return $labels;
        };
        $names = Library::standard()->names();

        return [
            'kind' => $of(Kind::class),
            'refrigerant' => array_combine(
                $names,
                array_map(
                    static fn (string $name): string => $name.
                        ' ('.
                        Library::standard()->safetyClass($name).
                        ')',
                    $names,
                ),
            ),
            'metering' => $of(Metering::class),
            'condenser' => $of(CondenserPlace::class),
            'head_pressure_control' => $of(HeadPressureControl::class),
            'box_control' => $of(BoxControl::class),
            'defrost' => $of(DefrostKind::class),
        ];
    }

    /**
     * What is usual for a kind: shown as the default beside each field and used where nothing is known.
     *
     * @return array{system: array<string, string|bool>, design: array<string, float>}
     */
    public static function usual(Kind $kind): array
    {
        $low = $kind->isLowTemperature();
        $small = $kind->isSmall();
        $case = $kind === Kind::CaseMedium || $kind === Kind::CaseLow;

        return [
            'system' => [
                'kind' => $kind->value,
                'metering' => $kind === Kind::ReachInCooler || $kind === Kind::ReachInFreezer ? 'capillary' : 'txv',
                'condenser' => $small ? 'air_indoor' : 'air_outdoor',
                'head_pressure_control' => $small ? 'none' : 'fan_cycling',
                'box_control' => match (true) {
                    $kind->isShared() || $case => 'pressure_regulator',
                    $small => 'thermostat',
                    default => 'thermostat_pump_down',
                },
                'defrost' => match (true) {
                    $kind === Kind::IceMachine => 'hot_gas',
                    $low => 'electric',
                    default => 'off_cycle',
                },
                'receiver' => ! $small,
                'evaporator_pressure_regulator' => $kind->isShared(),
                'suction_accumulator' => false,
            ],
            'design' => [
                'box_set_point_c' => match (true) {
                    $kind === Kind::IceMachine => -2.0,
                    $low => -18.0,
                    default => 2.0,
                },
                'evaporator_td_k' => $small || $case ? 10.0 : 5.5,
                'condenser_split_k' => $low ? 9.5 : 12.0,
                'superheat_k' => $low ? 4.0 : 5.5,
                'subcooling_k' => $small ? 6.0 : 3.0,
            ],
        ];
    }

    /** A plain plant of a kind: what is usual, with a refrigerant that serves it. */
    public static function plainPlant(Kind $kind): Circuit
    {
        $usual = self::usual($kind);
        $refrigerant = match (true) {
            $kind === Kind::IceMachine => 'R-404A',
            $kind->isSmall() => 'R-290',
            $kind->isLowTemperature() => 'R-404A',
            default => 'R-134a',
        };

        return VisitReader::plant($usual['system'] + ['refrigerant' => $refrigerant], $usual['design']);
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return array{array<string, string|bool>, array<string, float>, array<string, string>} system, design, errors by field
     */
    public static function read(array $typed, Units $units): array
    {
        $system = $design = $errors = [];
        foreach (self::choices() as $key => $words) {
            $given = $typed[$key] ?? '';
            if (is_string($given) && isset($words[$given])) {
                $system[$key] = $given;
            } elseif (! in_array($given, ['', null], true)) {
                $errors[$key] = self::LABELS[$key].': that choice is not known.';
            } elseif ($key === 'refrigerant') {
                $errors[$key] = 'The refrigerant is needed: every figure rests on it.';
            }
        }
        foreach (self::FLAGS as $key) {
            if (in_array($typed[$key] ?? '', ['yes', 'no'], true)) {
                $system[$key] = $typed[$key] === 'yes';
            }
        }
        foreach (Design::KEYS as $key => [, $least, $most]) {
            $given = is_string($typed[$key] ?? null) ? trim($typed[$key]) : '';
            if ($given === '') {
                continue;
            }
            try {
                $kind = DesignUnits::quantity($key);
                $value = DesignUnits::of($key)->fromSi(Reader::read($given, $kind, $units->of($kind))->si);
                if ($value < $least || $value > $most) {
                    $errors[$key] =
                        self::DESIGN_LABELS[$key].
                        ': "'.
                        $given.
                        '" was given; possible is '.
                        $units->span(
                            DesignUnits::of($key)->toSi($least),
                            DesignUnits::of($key)->toSi($most),
                            $kind,
                        ).
                        ' '.
                        $units->symbol($kind).
                        '.';
                } else {
                    $design[$key] = round($value, 4);
                }
            } catch (NotAQuantity $error) {
                $errors[$key] = self::DESIGN_LABELS[$key].': '.$error->getMessage();
            }
        }

        return [$system, $design, $errors];
    }
}
