<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Quantity\Field;
use Metrum\Quantity\QuantityKind;

/** What can be set of a scenario: the same fields for files and for the plant bench. Files give shares as 0 … 1. */
final class ScenarioFields
{
    /** @return array<string, Field> by key of the file */
    public static function conditions(): array
    {
        return self::keyed([
            Field::inFileUnit('ambient_temperature_c', 'Ambient', QuantityKind::Temperature, -45.0, 52.0),
            Field::inFileUnit('box_temperature_c', 'Box', QuantityKind::Temperature, -50.0, 45.0),
            new Field('load_share', 'Load', QuantityKind::Ratio, 0.02, 2.0),
            Field::inFileUnit('return_gas_gain_k', 'Return gas gain', QuantityKind::Difference, 0.0, 60.0),
        ]);
    }

    /** @return array<string, Field> by key of the file */
    public static function adjustments(): array
    {
        return self::keyed([
            new Field('valve_turns', 'Exp. valve, turns in', QuantityKind::Turns, -8.0, 8.0),
            new Field('regulator_turns', 'EPR, turns in', QuantityKind::Turns, -10.0, 10.0),
            new Field('added_kg', 'Refrigerant added', QuantityKind::MassChange, -500.0, 500.0),
        ]);
    }

    /** How marked a fault is: 0.2 is just noticeable, 1 a plant that no longer does its work. */
    public static function severity(): Field
    {
        return new Field('severity', 'Severity', QuantityKind::Ratio, 0.0, 1.0, 0.6);
    }

    /** @return array<string, Field> by name of the bench's control, as people set it */
    public static function bench(): array
    {
        return self::keyed([
            Field::inFileUnit('ambient', 'Ambient', QuantityKind::Temperature, -40.0, 50.0),
            Field::inFileUnit('box', 'Box', QuantityKind::Temperature, -50.0, 40.0),
            Field::inFileUnit('load', 'or heat load, % of design', QuantityKind::Share, 2.0, 200.0),
            Field::inFileUnit('added', 'Refrigerant added', QuantityKind::MassChange, -50.0, 50.0),
            Field::inFileUnit('turns', 'Exp. valve, turns in', QuantityKind::Turns, -4.0, 4.0),
            Field::inFileUnit('regulator', 'EPR, turns in', QuantityKind::Turns, -6.0, 6.0),
            Field::inFileUnit('coil', 'Coil fouling', QuantityKind::Share, 0.0, 100.0),
            Field::inFileUnit('condenser', 'Condenser fouling', QuantityKind::Share, 0.0, 100.0),
        ]);
    }

    /**
     * @param  list<Field>  $fields
     * @return array<string, Field>
     */
    private static function keyed(array $fields): array
    {
        return array_column($fields, null, 'key');
    }
}
