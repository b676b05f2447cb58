<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Refrigerant\Library;

/** A word that says what a circuit is made of. */
enum SystemKey: string
{
    case Kind = 'kind';
    case Refrigerant = 'refrigerant';
    case Metering = 'metering';
    case Condenser = 'condenser';
    case HeadPressureControl = 'head_pressure_control';
    case BoxControl = 'box_control';
    case Defrost = 'defrost';
    case Receiver = 'receiver';
    case Regulator = 'evaporator_pressure_regulator';
    case SuctionAccumulator = 'suction_accumulator';
    case Exchanger = 'suction_liquid_heat_exchanger';
    case Ice = 'ice';
    case WaterFill = 'water_fill';
    case Age = 'age';

    public function label(): string
    {
        return match ($this) {
            self::Kind => 'Application',
            self::Refrigerant => 'Refrigerant',
            self::Metering => 'Expansion device',
            self::Condenser => 'Condenser',
            self::HeadPressureControl => 'Head pressure control',
            self::BoxControl => 'Temperature control',
            self::Defrost => 'Defrost',
            self::Receiver => 'Receiver',
            self::Regulator => 'Evaporator pressure regulator',
            self::SuctionAccumulator => 'Suction accumulator',
            self::Exchanger => 'Suction-to-liquid heat exchanger',
            self::Ice => 'Ice making',
            self::WaterFill => 'Water fill',
            self::Age => 'Age of the unit',
        };
    }

    /** Answered by true or false. */
    public function isFlag(): bool
    {
        return match ($this) {
            self::Receiver, self::Regulator, self::SuctionAccumulator, self::Exchanger => true,
            self::Kind,
            self::Refrigerant,
            self::Metering,
            self::Condenser,
            self::HeadPressureControl,
            self::BoxControl,
            self::Defrost,
            self::Ice,
            self::WaterFill,
            self::Age => false,
        };
    }

    /** Whether it belongs to what circuits of one plant share. */
    public function isShared(): bool
    {
        return match ($this) {
            self::Refrigerant, self::Condenser, self::HeadPressureControl, self::Receiver => true,
            self::Kind,
            self::Metering,
            self::BoxControl,
            self::Defrost,
            self::Regulator,
            self::SuctionAccumulator,
            self::Exchanger,
            self::Ice,
            self::WaterFill,
            self::Age => false,
        };
    }

    /** Whether it says something of such a load: an ice machine has no box, and nothing else makes ice. */
    public function isOf(?LoadKind $load): bool
    {
        $isIce = $load === LoadKind::IceMachine;

        return match ($this) {
            self::Ice, self::WaterFill => $isIce,
            self::BoxControl, self::Defrost => ! $isIce,
            self::Kind,
            self::Refrigerant,
            self::Metering,
            self::Condenser,
            self::HeadPressureControl,
            self::Receiver,
            self::Regulator,
            self::SuctionAccumulator,
            self::Exchanger,
            self::Age => true,
        };
    }

    /** @return array<string, string> what it may be, word => label; none for a flag */
    public function choices(): array
    {
        return match ($this) {
            self::Kind => self::labels(Kind::cases()),
            self::Refrigerant => self::refrigerants(),
            self::Metering => self::labels(Metering::cases()),
            self::Condenser => self::labels(CondenserPlace::cases()),
            self::HeadPressureControl => self::labels(HeadPressureControl::cases()),
            self::BoxControl => self::labels(BoxControl::cases()),
            self::Defrost => self::labels(DefrostKind::cases()),
            self::Ice => self::labels(IceMaking::cases()),
            self::WaterFill => self::labels(WaterFill::cases()),
            self::Age => self::labels(PlantAge::cases()),
            self::Receiver, self::Regulator, self::SuctionAccumulator, self::Exchanger => [],
        };
    }

    /** @return array<string, string> */
    private static function refrigerants(): array
    {
        $library = Library::known();
        $labels = [];
        foreach ($library->names() as $name) {
            $labels[$name] = $name.' ('.$library->safetyClass($name).')';
        }

        return $labels;
    }

    /**
     * @param  list<Kind|Metering|CondenserPlace|HeadPressureControl|BoxControl|DefrostKind>|list<IceMaking>|list<
     *     WaterFill>|list<PlantAge>  $cases
     * @return array<string, string>
     */
    private static function labels(array $cases): array
    {
        $labels = [];
        foreach ($cases as $case) {
            $labels[$case->value] = $case->label();
        }

        return $labels;
    }

    /** What a file has of it, as people say it; null where it is not known. */
    public function told(mixed $value): ?string
    {
        if (is_bool($value)) {
            return $value ? 'Yes' : 'No';
        }

        return is_string($value) ? $this->choices()[$value] ?? $value : null;
    }
}
