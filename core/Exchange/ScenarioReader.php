<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Data\Reasons;
use Metrum\Data\Refused;
use Metrum\Data\Section;
use Metrum\Installation\Circuit;
use Metrum\Installation\CircuitReader;
use Metrum\Knowledge\Fault;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Field;
use Metrum\Refrigerant\Library;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Machine;
use Metrum\Twin\Scenario;
use Metrum\Twin\ScenarioFields;
use Metrum\Twin\Sizing;
use Metrum\Twin\Surroundings;

/** Reads a scenario for the twin: a visit file's system and design, with conditions, faults and adjustments. */
final readonly class ScenarioReader
{
    private const TOP = ['format', 'version', 'id', 'system', 'design', 'conditions', 'faults', 'adjust'];

    private const DEEPEST = 64;

    private Section $top;

    private function __construct(\stdClass $file, private Reasons $reasons)
    {
        $this->top = new Section('', get_object_vars($file), $reasons);
    }

    /** @throws Refused */
    public static function json(string $text): Scenario
    {
        $plain = str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text;
        $file = json_decode($plain, false, self::DEEPEST);
        if (! ($file instanceof \stdClass)) {
            throw new Refused(['scenario: no JSON object']);
        }

        return (new self($file, new Reasons()))->read();
    }

    private function read(): Scenario
    {
        $top = $this->top;
        $top->only(self::TOP);
        $reader = new CircuitReader($this->reasons, Library::known());
        $circuit = $reader->read($top->section('system', required: true), $top->section('design'));
        $conditions = $this->amounts('conditions', ScenarioFields::conditions());
        $adjust = $this->amounts('adjust', ScenarioFields::adjustments());
        $faults = $this->faults();
        $this->reasons->raise();
        assert($circuit !== null);
        $this->condenses($circuit, $conditions['ambient_temperature_c'] ?? null);

        return new Scenario(
            sound: self::machine($circuit),
            ambient: $conditions['ambient_temperature_c'] ?? null,
            box: $conditions['box_temperature_c'] ?? null,
            loadShare: $conditions['load_share'] ?? null,
            returnGain: $conditions['return_gas_gain_k'] ?? null,
            faults: $faults,
            valveTurns: $adjust['valve_turns'] ?? 0.0,
            regulatorTurns: $adjust['regulator_turns'] ?? 0.0,
            added: $adjust['added_kg'] ?? 0.0,
        );
    }

    private static function machine(Circuit $circuit): Machine
    {
        try {
            return (new Sizing($circuit))->machine();
        } catch (OutsideTable $outside) {
            $why = 'not possible with '.$circuit->refrigerant.': '.$outside->getMessage();
            throw new Refused(['system: '.$why]);
        }
    }

    private function condenses(Circuit $circuit, ?float $ambient): void
    {
        $highest = Surroundings::hottest($circuit->fluid());
        if ($ambient !== null && $ambient > $highest) {
            $this->top
                ->section('conditions')
                ->refuse(
                    'ambient_temperature_c',
                    'got '.round($ambient - Celsius::ZERO, 3).
                        "; above the refrigerant's condensing range (".round($highest - Celsius::ZERO).' °C)',
                );
            $this->reasons->raise();
        }
    }

    /**
     * @param  array<string, Field>  $fields
     * @return array<string, float> SI
     */
    private function amounts(string $name, array $fields): array
    {
        $section = $this->top->section($name);
        $section->only(array_keys($fields));
        $amounts = [];
        foreach ($fields as $key => $field) {
            $amount = $section->amount($key, $field);
            if ($amount !== null) {
                $amounts[$key] = $amount;
            }
        }

        return $amounts;
    }

    /** @return list<array{Fault, float}> */
    private function faults(): array
    {
        $given = $this->top->has('faults') ? $this->top->given('faults') : [];
        if (! is_array($given)) {
            $this->top->refuse('faults', 'got '.Reasons::shown($given).', expected a list');

            return [];
        }
        $faults = [];
        foreach (array_values($given) as $i => $one) {
            if ($one instanceof \stdClass) {
                $faults[] = $this->fault(
                    new Section('faults.'.$i.'.', get_object_vars($one), $this->reasons),
                );
            } else {
                $wanted = ', expected an object with fault and severity';
                $this->top->refuse('faults.'.$i, 'got '.Reasons::shown($one).$wanted);
            }
        }

        return array_values(array_filter($faults));
    }

    /** @return ?array{Fault, float} */
    private function fault(Section $one): ?array
    {
        $one->only(['fault', 'severity']);
        $fault = $one->word('fault', Fault::class);
        if (! $one->has('fault')) {
            $one->refuse('fault', 'missing (required)');
        }
        $field = ScenarioFields::severity();
        $severity = $one->has('severity') ? $one->amount('severity', $field) : $field->usual;

        return $fault === null || $severity === null ? null : [$fault, $severity];
    }
}
