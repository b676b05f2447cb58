<?php

namespace App\View;

use App\Models\Visit;
use Metrum\Installation\Circuit;
use Metrum\Installation\CircuitWriter;
use Metrum\Installation\DesignKey;
use Metrum\Installation\SystemKey;
use Metrum\Knowledge\HouseRule;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/** What a visit was judged by: the circuit with its plate and design, its air, the house rules. */
final readonly class ReportBasis
{
    public function __construct(private Visit $visit, private Circuit $circuit, private Units $units)
    {
    }

    /** Which house rules the workshop has chosen otherwise than by default. */
    public function ownRules(): string
    {
        $rules = $this->visit->rules();
        $own = [];
        foreach (HouseRule::cases() as $rule) {
            if (! $rules->isDefault($rule)) {
                $own[] = lcfirst($rule->row()->label).' ('.$rules->band($rule)->source.')';
            }
        }

        return $own === []
            ? 'all house rules at default.'
            : 'house rules changed from default: '.implode('; ', $own).'.';
    }

    public function refrigerant(): string
    {
        return $this->circuit->refrigerant;
    }

    public function kind(): string
    {
        return (string) $this->circuit->kind?->label();
    }

    public function atmosphere(): string
    {
        $air = $this->circuit->atmosphere->pascal;

        return $this->units->text($air, QuantityKind::AbsolutePressure).' abs';
    }

    /** @return list<string> what plate and design say, as it was known when the visit was opened */
    public function plate(): array
    {
        $said = [];
        $opened = $this->visit->circuitAsOpened();
        $words = CircuitWriter::system($opened);
        foreach (SystemKey::cases() as $key) {
            $word = $words[$key->value] ?? null;
            if (is_string($word) && $key !== SystemKey::Kind && $key !== SystemKey::Refrigerant) {
                $said[] = mb_strtolower($key->label()).' '.mb_strtolower($key->choices()[$word] ?? $word);
            }
        }
        foreach (DesignKey::cases() as $key) {
            $si = $opened->design->value($key);
            if ($si !== null) {
                $field = $key->field();
                $said[] = Explain::within($field->label).' '.$this->units->text($si, $field->kind);
            }
        }

        return $said;
    }
}
