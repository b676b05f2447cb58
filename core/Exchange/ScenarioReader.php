<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Circuit\Fault;
use Metrum\Plant\Scenario;
use Metrum\Plant\Sizing;
use Metrum\Plant\Surroundings;
use Metrum\Refrigerant\OutsideTable;

/** Reads a scenario for the twin: a visit file's system and design, with conditions, faults and adjustments. */
final class ScenarioReader extends StrictReader
{
    private const TOP = ['format', 'version', 'id', 'system', 'design', 'conditions', 'faults', 'adjust'];

    /** Key => least and most, in the file's unit. */
    private const CONDITIONS = [
        'ambient_temperature_c' => [-45.0, 52.0],
        'box_temperature_c' => [-50.0, 45.0],
        'load_share' => [0.02, 2.0],
        'return_gas_gain_k' => [0.0, 60.0],
    ];

    private const ADJUST = [
        'valve_turns' => [-8.0, 8.0],
        'regulator_turns' => [-10.0, 10.0],
        'added_kg' => [-500.0, 500.0],
    ];

    /** @throws RefusedFile */
    public static function json(string $text): Scenario
    {
        $file = json_decode(str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text, false, 64);
        if (! ($file instanceof \stdClass)) {
            throw new RefusedFile(['scenario: no JSON object']);
        }

        return (new self())->read($file);
    }

    private function read(\stdClass $file): Scenario
    {
        $top = get_object_vars($file);
        $this->known('', $top, self::TOP);
        $plant = (object) ['format' => 'metrum-visit', 'version' => 1];
        foreach (['system', 'design'] as $part) {
            if (array_key_exists($part, $top)) {
                $plant->{$part} = $top[$part];
            }
        }
        $circuit = null;
        try {
            $circuit = VisitReader::decoded($plant)->circuit;
        } catch (RefusedFile $refused) {
            array_push($this->reasons, ...$refused->reasons);
        }
        $conditions = $this->figures($top, 'conditions', self::CONDITIONS);
        $adjust = $this->figures($top, 'adjust', self::ADJUST);
        $faults = $this->faults($top);
        if ($this->reasons !== []) {
            throw new RefusedFile($this->reasons);
        }
        assert($circuit !== null);
        try {
            (new Sizing($circuit))->machine();
        } catch (OutsideTable $outside) {
            throw new RefusedFile([
                'system: such a plant cannot be built with '.
                $circuit->refrigerant.
                ': '.
                $outside->getMessage(),
            ]);
        }
        $highest = Surroundings::hottest($circuit->fluid()) - 273.15;
        if (($conditions['ambient_temperature_c'] ?? 0.0) > $highest) {
            throw new RefusedFile([
                'conditions.ambient_temperature_c: '.
                self::shown($conditions['ambient_temperature_c']).
                ' was given; above '.
                round($highest).
                ' °C '.
                $circuit->refrigerant.
                ' no longer condenses (its table ends there)',
            ]);
        }
        $kelvin = static fn (?float $celsius): ?float => $celsius === null ? null : $celsius + 273.15;

        return new Scenario(
            $circuit,
            $kelvin($conditions['ambient_temperature_c'] ?? null),
            $kelvin($conditions['box_temperature_c'] ?? null),
            $conditions['load_share'] ?? null,
            $conditions['return_gas_gain_k'] ?? null,
            $faults,
            $adjust['valve_turns'] ?? 0.0,
            $adjust['regulator_turns'] ?? 0.0,
            $adjust['added_kg'] ?? 0.0,
        );
    }

    /**
     * @param  array<mixed>  $top
     * @param  array<string, array{float, float}>  $possible
     * @return array<string, float>
     */
    private function figures(array $top, string $name, array $possible): array
    {
        $section = $this->section($top, $name);
        $this->known($name.'.', $section, array_keys($possible));
        $figures = [];
        foreach ($possible as $key => [$least, $most]) {
            $given = $this->number($section, $key, $name.'.');
            if ($given !== null && ($given < $least || $given > $most)) {
                $this->refuse(
                    $name.'.'.$key,
                    self::shown($given).' was given; possible is '.$least.' to '.$most,
                );
            } elseif ($given !== null) {
                $figures[$key] = $given;
            }
        }

        return $figures;
    }

    /**
     * @param  array<mixed>  $top
     * @return list<array{Fault, float}>
     */
    private function faults(array $top): array
    {
        $given = $top['faults'] ?? [];
        if (! is_array($given)) {
            $this->refuse('faults', self::shown($given).' was given; a list is wanted');

            return [];
        }
        $faults = [];
        foreach (array_values($given) as $i => $one) {
            $path = 'faults.'.$i.'.';
            if (! ($one instanceof \stdClass)) {
                $this->refuse(
                    'faults.'.$i,
                    self::shown($one).' was given; an object with fault and severity is wanted',
                );

                continue;
            }
            $entry = get_object_vars($one);
            $this->known($path, $entry, ['fault', 'severity']);
            $fault = $this->enum($entry, 'fault', $path, Fault::class);
            $severity = $this->number($entry, 'severity', $path) ?? 0.6;
            if (! array_key_exists('fault', $entry)) {
                $this->refuse($path.'fault', 'missing; it is required');
            }
            if ($severity < 0.0 || $severity > 1.0) {
                $this->refuse($path.'severity', self::shown($severity).' was given; possible is 0 to 1');
            } elseif ($fault !== null) {
                $faults[] = [$fault, $severity];
            }
        }

        return $faults;
    }
}
