<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Findings\Findings;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Quantity\Celsius;
use Metrum\Twin\Moment;
use Metrum\Twin\PlantState;
use Metrum\Twin\Scenario;

/** Answers of the twin as files: a steady state as a visit file with the plant's own figures, a moment as a line. */
final class ScenarioAnswer
{
    /** @return array<string, mixed> */
    public static function steady(Scenario $scenario, PlantState $state): array
    {
        $findings = new Findings(
            $scenario->sound->circuit,
            $state->runs() ? State::RunningSettled : State::Off,
            readings: $state->readings,
            observations: $state->observations,
        );

        return VisitWriter::file($findings) + [
            'plant' => array_filter(
                [
                    'stopped' => $state->stopped?->sentence(),
                    'mass_flow_kg_s' => round($state->massFlow, 6),
                    'cooling_w' => round($state->cooling, 2),
                    'power_w' => round($state->power, 2),
                    'flooded_share' => round($state->flooded, 5),
                    'receiver_level_percent' => round(100 * $state->level, 3),
                    'valve_inlet_quality' => round($state->valveQuality, 6),
                    'coil_dry_share' => round($state->dryShare, 5),
                    'charge_kg' => round($state->charge, 5),
                    'valve_opening' => round($state->opening, 4),
                    'energy_residual' => round($state->energyResidual, 9),
                    'mass_residual' => round($state->massResidual, 9),
                ],
                static fn (mixed $value): bool => $value !== null,
            ),
        ];
    }

    /** @return array<string, float|int|string|bool|null> */
    public static function moment(Moment $moment): array
    {
        $line = [
            'time_s' => round($moment->time, 1),
            'mode' => $moment->mode->value,
            'calls' => $moment->calls,
            'fans' => $moment->fans,
            'tripped' => $moment->tripped?->value,
            'frost_kg' => round($moment->frost, 4),
            'air_share' => round($moment->air, 3),
            'valve_opening' => round($moment->opening, 3),
            'cooling_w' => round($moment->cooling, 1),
            'power_w' => round($moment->power, 1),
            'product_c' => round($moment->product - Celsius::ZERO, 3),
        ];
        foreach (Reading::cases() as $reading) {
            $value = $moment->readings[$reading->value] ?? null;
            $line[$reading->value] = $value === null ? null : round($reading->fileUnit()->fromSi($value), 3);
        }

        return $line;
    }
}
