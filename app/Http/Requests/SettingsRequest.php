<?php

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Metrum\Circuit\HouseRule;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\Units;

final class SettingsRequest extends FormRequest
{
    private const OWN = 'own';

    /** @var array<string, string|array{float, float}> */
    private array $choices = [];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'temperature' => ['required', Rule::in(Units::CHOICES['temperature'])],
            'pressure' => ['required', Rule::in(Units::CHOICES['pressure'])],
            'mass' => ['required', Rule::in(Units::CHOICES['mass'])],
            'theme' => ['required', Rule::in(['auto', 'paper', 'cold'])],
            'rules' => ['array'],
            'own' => ['array'],
        ];
    }

    /** @return list<callable> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                foreach (HouseRule::cases() as $rule) {
                    try {
                        $this->choices[$rule->value] = $this->choice($rule);
                    } catch (NotAQuantity $reason) {
                        $validator->errors()->add('rules.'.$rule->value, $reason->getMessage());
                    }
                }
            },
        ];
    }

    /** @return array<string, string|array{float, float}> */
    public function choices(): array
    {
        return $this->choices;
    }

    /**
     * @return string|array{float, float} a school's id, or an own band in the rule's unit
     *
     * @throws NotAQuantity
     */
    private function choice(HouseRule $rule): string|array
    {
        $row = $rule->row();
        $choice = $this->input('rules.'.$rule->value, $row->default->id);
        if (is_string($choice) && $row->school($choice) !== null) {
            return $choice;
        }
        if ($choice !== self::OWN || $row->field === null) {
            throw NotAQuantity::refused(
                $row->label,
                is_string($choice) ? $choice : '',
                'that school is not known',
            );
        }
        [$low, $high] = [$this->end($rule, 'low'), $this->end($rule, 'high')];
        if ($low > $high) {
            throw NotAQuantity::refused(
                $row->label,
                "$low to $high",
                'an own band needs two numbers, the lower first',
            );
        }

        return [$low, $high];
    }

    /** @throws NotAQuantity */
    private function end(HouseRule $rule, string $end): float
    {
        $field = $rule->row()->field;
        assert($field !== null);
        $typed = trim((string) $this->string('own.'.$rule->value.'.'.$end));

        // The bands on the page stand in the rule's own unit.
        return $field->read($typed, new Units())->in($field->fileUnit());
    }
}
