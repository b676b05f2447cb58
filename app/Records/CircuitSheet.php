<?php

namespace App\Records;

use Metrum\Installation\DesignKey;
use Metrum\Installation\SystemKey;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\Units;

/** The form of a circuit: what was typed and chosen, as the words and figures of a visit file. */
final class CircuitSheet
{
    /** @var array<string, string|bool> */
    public array $system = [];

    /** @var array<string, float> */
    public array $design = [];

    /** @var array<string, string> by field */
    public array $errors = [];

    /** @param  array<string, mixed>  $typed */
    public function __construct(private readonly array $typed, private readonly Units $units)
    {
        foreach (SystemKey::cases() as $key) {
            $this->readWord($key);
        }
        foreach (DesignKey::cases() as $key) {
            $this->readFigure($key);
        }
    }

    private function typed(string $key): string
    {
        $given = $this->typed[$key] ?? '';

        return is_string($given) ? trim($given) : '';
    }

    private function readWord(SystemKey $key): void
    {
        $given = $this->typed($key->value);
        $choices = $key->isFlag() ? ['yes' => 'Yes', 'no' => 'No'] : $key->choices();
        if (isset($choices[$given])) {
            $this->system[$key->value] = $key->isFlag() ? $given === 'yes' : $given;
        } elseif ($given !== '') {
            $this->errors[$key->value] = $key->label().': choose one of the options listed.';
        } elseif ($key === SystemKey::Refrigerant) {
            $this->errors[$key->value] = 'Choose the refrigerant; every calculation needs it.';
        }
    }

    private function readFigure(DesignKey $key): void
    {
        $given = $this->typed($key->value);
        if ($given === '') {
            return;
        }
        try {
            $field = $key->field();
            $this->design[$key->value] = round($field->read($given, $this->units)->in($field->fileUnit()), 4);
        } catch (NotAQuantity $reason) {
            $this->errors[$key->value] = $reason->getMessage();
        }
    }
}
