<?php

namespace App\Http\Requests;

use App\View\Units;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Metrum\Circuit\HouseRules;

final class SettingsRequest extends FormRequest
{
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
                foreach (HouseRules::all() as $key => $rule) {
                    $choice = $this->input('rules.'.$key, $rule['default']);
                    if (is_string($choice) && in_array($choice, array_column($rule['schools'], 'id'), true)) {
                        $this->choices[$key] = $choice;

                        continue;
                    }
                    $low = str_replace(',', '.', trim((string) $this->string('own.'.$key.'.low')));
                    $high = str_replace(',', '.', trim((string) $this->string('own.'.$key.'.high')));
                    if (
                        $choice !== 'own' ||
                        ! is_numeric($low) ||
                        ! is_numeric($high) ||
                        (float) $low > (float) $high ||
                        abs((float) $low) > 500 ||
                        abs((float) $high) > 500
                    ) {
                        $validator
                            ->errors()
                            ->add(
                                'rules.'.$key,
                                $rule['label'].': an own band needs two numbers, the lower first.',
                            );
                    } else {
                        $this->choices[$key] = [(float) $low, (float) $high];
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
}
