<?php

namespace App\View;

use Metrum\Knowledge\Fault;
use Metrum\Quantity\Field;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\Units;
use Metrum\Twin\ScenarioFields;

/** What was set at the plant bench: typed values in one's own units, kept where they cannot be, with the reason. */
final class BenchInputs
{
    /** Percent. */
    public const SEVERITIES = [
        20 => '20 % (barely shows)',
        40 => '40 %',
        60 => '60 %',
        80 => '80 %',
        100 => '100 % (failed)',
    ];

    /** @var array<string, Field> */
    public readonly array $fields;

    /** @var array<string, float> */
    private array $values = [];

    /** @var array<string, string> */
    public array $errors = [];

    /** @var list<array{Fault, float}> */
    public array $faults = [];

    /** @param  array<string, mixed>  $typed */
    public function __construct(private readonly array $typed, private readonly Units $units)
    {
        $this->fields = ScenarioFields::bench();
        foreach ($this->fields as $key => $field) {
            $this->read($key, $field);
        }
        foreach (['', '2'] as $which) {
            $fault = Fault::tryFrom($this->typed('fault'.$which));
            if ($fault !== null && $fault !== Fault::NoFault) {
                $this->faults[] = [$fault, $this->severity('severity'.$which)];
            }
        }
    }

    public function typed(string $key): string
    {
        $given = $this->typed[$key] ?? '';

        return is_string($given) ? trim($given) : '';
    }

    /** SI, or null where nothing usable was typed. */
    public function value(string $key): ?float
    {
        return $this->values[$key] ?? null;
    }

    /** Takes a value back that the plant cannot have. */
    public function refuse(string $key, string $why): void
    {
        unset($this->values[$key]);
        $this->errors[$key] = $why;
    }

    public function unit(string $key): string
    {
        return $this->units->symbol($this->fields[$key]->kind);
    }

    private function read(string $key, Field $field): void
    {
        $text = $this->typed($key);
        if ($text === '') {
            return;
        }
        try {
            $this->values[$key] = $field->read($text, $this->units)->si;
        } catch (NotAQuantity $reason) {
            $this->errors[$key] = $reason->getMessage();
        }
    }

    private function severity(string $key): float
    {
        $field = ScenarioFields::severity();
        $typed = $this->typed($key);

        return is_numeric($typed)
            ? max($field->least, min($field->most, (float) $typed / 100))
            : (float) $field->usual;
    }
}
