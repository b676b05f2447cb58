<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Data\Reasons;
use Metrum\Data\Section;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\Unit;
use Metrum\Refrigerant\Library;

/** Reads a circuit in the words and figures of a visit file: its system, its design values. */
final readonly class CircuitReader
{
    public const ATMOSPHERE = 'atmospheric_kpa';

    public function __construct(private Reasons $reasons, private Library $library)
    {
    }

    /** Null where anything of it is refused; the reasons are then where they are collected. */
    public function read(Section $system, Section $design): ?Circuit
    {
        $system->only([...array_column(SystemKey::cases(), 'value'), self::ATMOSPHERE]);
        $refrigerant = $this->refrigerant($system);
        $circuit = new Circuit(
            $refrigerant,
            $system->word(SystemKey::Kind->value, Kind::class),
            $system->word(SystemKey::Metering->value, Metering::class),
            $system->word(SystemKey::Condenser->value, CondenserPlace::class),
            $system->word(SystemKey::HeadPressureControl->value, HeadPressureControl::class),
            $system->flag(SystemKey::Receiver->value),
            $system->flag(SystemKey::Regulator->value),
            $system->flag(SystemKey::SuctionAccumulator->value),
            $system->word(SystemKey::BoxControl->value, BoxControl::class),
            $system->word(SystemKey::Defrost->value, DefrostKind::class),
            $this->design($design),
            $this->atmosphere($system),
            $system->flag(SystemKey::Exchanger->value),
            ice: self::ice($system),
        );

        return $this->reasons->areThere() ? null : $circuit;
    }

    public function refrigerant(Section $system): string
    {
        $key = SystemKey::Refrigerant->value;
        $name = $system->text($key);
        if (! $system->has($key)) {
            $system->refuse($key, 'missing (required)');
        } elseif ($name !== null && ! $this->library->has($name)) {
            $known = implode(', ', $this->library->names());
            $system->refuse($key, Reasons::shown($name).' is not in the library; known: '.$known);
        }

        return $name ?? '';
    }

    public function atmosphere(Section $system): ?Atmosphere
    {
        $given = $system->number(self::ATMOSPHERE);
        try {
            return $given === null ? null : Atmosphere::of(Unit::Kilopascal->toSi($given));
        } catch (NotAQuantity $reason) {
            $system->refuse(self::ATMOSPHERE, $reason->getMessage());

            return null;
        }
    }

    public static function ice(Section $system): IceWords
    {
        return new IceWords(
            $system->word(SystemKey::Ice->value, IceMaking::class),
            $system->word(SystemKey::WaterFill->value, WaterFill::class),
            $system->word(SystemKey::Age->value, PlantAge::class),
        );
    }

    private function design(Section $section): Design
    {
        $section->only(array_column(DesignKey::cases(), 'value'));
        $values = [];
        foreach (DesignKey::cases() as $key) {
            $values[$key->property()] = $section->amount($key->value, $key->field());
        }

        return new Design(...$values);
    }
}
