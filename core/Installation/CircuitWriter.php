<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Quantity\Unit;

/** Writes a circuit in the words and figures of a visit file; what CircuitReader reads back is the same. */
final class CircuitWriter
{
    /** @return array<string, string|bool|float|int> */
    public static function system(Circuit $circuit): array
    {
        return array_filter(
            [
                SystemKey::Kind->value => $circuit->kind?->value,
                SystemKey::Refrigerant->value => $circuit->refrigerant,
                SystemKey::Metering->value => $circuit->metering?->value,
                SystemKey::Condenser->value => $circuit->condenser?->value,
                SystemKey::HeadPressureControl->value => $circuit->headPressureControl?->value,
                SystemKey::Receiver->value => $circuit->receiver,
                SystemKey::Regulator->value => $circuit->regulator,
                SystemKey::SuctionAccumulator->value => $circuit->suctionAccumulator,
                SystemKey::Exchanger->value => $circuit->exchanger,
                SystemKey::BoxControl->value => $circuit->boxControl?->value,
                SystemKey::Defrost->value => $circuit->defrost?->value,
                SystemKey::Ice->value => $circuit->ice->making?->value,
                SystemKey::WaterFill->value => $circuit->ice->fill?->value,
                SystemKey::Age->value => $circuit->ice->age?->value,
                CircuitReader::ATMOSPHERE => self::number(Unit::Kilopascal->fromSi($circuit->atmosphere->pascal)),
            ],
            static fn (mixed $value): bool => $value !== null,
        );
    }

    /** @return array<string, float|int> */
    public static function design(Circuit $circuit): array
    {
        $design = [];
        foreach (DesignKey::cases() as $key) {
            $value = $circuit->design->value($key);
            if ($value !== null) {
                $design[$key->value] = self::number($key->field()->fileUnit()->fromSi($value));
            }
        }

        return $design;
    }

    /** A figure as files give it: whole where it is whole. */
    public static function number(float $value): float|int
    {
        $rounded = round($value, 6);

        return floor($rounded) === $rounded && abs($rounded) < 1e9 ? (int) $rounded : $rounded;
    }
}
