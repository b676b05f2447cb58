<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Circuit\Design;
use Metrum\Circuit\Reading;
use Metrum\Findings\Findings;
use Metrum\Quantity\Unit;

/** Writes findings as a visit file; what VisitReader reads back is the same. */
final class VisitWriter
{
    /** @return array<string, mixed> */
    public static function file(Findings $findings): array
    {
        $circuit = $findings->circuit;
        $file = ['format' => 'metrum-visit', 'version' => 1];
        if ($findings->id !== null) {
            $file['id'] = $findings->id;
        }
        if ($findings->takenAt !== null) {
            $file['taken_at'] = $findings->takenAt;
        }
        $file['system'] = array_filter(
            [
                'kind' => $circuit->kind?->value,
                'refrigerant' => $circuit->refrigerant,
                'metering' => $circuit->metering?->value,
                'condenser' => $circuit->condenser?->value,
                'head_pressure_control' => $circuit->headPressureControl?->value,
                'receiver' => $circuit->receiver,
                'evaporator_pressure_regulator' => $circuit->regulator,
                'suction_accumulator' => $circuit->suctionAccumulator,
                'box_control' => $circuit->boxControl?->value,
                'defrost' => $circuit->defrost?->value,
                'atmospheric_kpa' => self::number(Unit::Kilopascal->fromSi($circuit->atmosphere->pascal)),
            ],
            static fn (mixed $value): bool => $value !== null,
        );
        $design = [];
        foreach (Design::KEYS as $key => [$property]) {
            $value = $circuit->design->{$property};
            if (is_float($value)) {
                $design[$key] = self::number(DesignUnits::of($key)->fromSi($value));
            }
        }
        if ($design !== []) {
            $file['design'] = $design;
        }
        if ($findings->complaints !== []) {
            $file['complaint'] = array_column($findings->complaints, 'value');
        }
        if ($findings->confirmed !== []) {
            $file['confirmed'] = array_column($findings->confirmed, 'value');
        }
        if ($findings->state !== null) {
            $file['state'] = $findings->state->value;
        }
        foreach (Reading::cases() as $reading) {
            $value = $findings->reading($reading);
            if ($value !== null) {
                $file['readings'][$reading->value] = self::number($reading->fileUnit()->fromSi($value));
            }
        }
        foreach ($findings->observations as $key => $word) {
            $file['observations'][$key] = $word->value;
        }
        foreach ($findings->tests as $key => $word) {
            $file['tests'][$key] = $word->value;
        }

        return $file;
    }

    public static function json(Findings $findings): string
    {
        return json_encode(
            self::file($findings),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        )."\n";
    }

    private static function number(float $value): float|int
    {
        $rounded = round($value, 6);

        return floor($rounded) === $rounded && abs($rounded) < 1e9 ? (int) $rounded : $rounded;
    }
}
