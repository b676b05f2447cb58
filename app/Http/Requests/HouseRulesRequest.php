<?php

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Validator;
use Metrum\Knowledge\HouseRule;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\Units;

final class HouseRulesRequest extends FormRequest
{
    private const OWN = 'own';

    /** @var array<string, string|array{float, float}> */
    private array $choices = [];

    public function authorize(): bool
    {
        return Gate::allows('change-house-rules');
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'rules' => ['array'],
            'own' => ['array'],
        ];
    }

    /** @return list<callable> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                foreach (array_filter(HouseRule::cases(), $this->isSaid(...)) as $rule) {
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

    /** A rule that is not said stays as it is. */
    private function isSaid(HouseRule $rule): bool
    {
        return $this->has('rules.'.$rule->value);
    }

    /**
     * @return string|array{float, float} a school's id, or an own band in the rule's unit
     *
     * @throws NotAQuantity
     */
    private function choice(HouseRule $rule): string|array
    {
        $row = $rule->row();
        $choice = $this->input('rules.'.$rule->value, '');
        if (is_string($choice) && $row->school($choice) !== null) {
            return $choice;
        }
        if ($choice !== self::OWN || $row->field === null) {
            throw NotAQuantity::refused(
                $row->label,
                is_string($choice) ? $choice : '',
                'Choose one of the options.',
            );
        }
        [$low, $high] = [$this->end($rule, 'low'), $this->end($rule, 'high')];
        $refusal = $row->refusal($low, $high);
        if ($refusal !== null) {
            throw NotAQuantity::refused($row->label, "$low to $high", $refusal);
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
