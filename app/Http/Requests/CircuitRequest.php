<?php

namespace App\Http\Requests;

use App\Models\Circuit as Kept;
use App\Models\HouseRuleChoice;
use App\Records\CircuitSheet;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;
use Metrum\Installation\Circuit;
use Metrum\Installation\SystemKey;
use Metrum\Twin\CannotStand;
use Metrum\Twin\Twins;

final class CircuitRequest extends FormRequest
{
    private ?CircuitSheet $sheet = null;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'notes' => ['nullable', 'string', 'max:'.Kept::LONGEST_NOTES],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Enter the circuit name.',
            'name.*' => 'Circuit name: use no more than 120 characters.',
            'notes.*' => 'Weak points: use no more than '.Kept::LONGEST_NOTES.' characters.',
        ];
    }

    /** @return list<callable> */
    public function after(Twins $twins): array
    {
        return [
            function (Validator $validator) use ($twins): void {
                foreach ($this->sheet()->errors as $field => $message) {
                    $validator->errors()->add($field, $message);
                }
                if ($this->sheet()->errors === []) {
                    $this->mustStand($validator, $twins);
                }
            },
        ];
    }

    public function sheet(): CircuitSheet
    {
        return $this->sheet ??= new CircuitSheet($this->all(), $this->user()->units());
    }

    /** Values that are possible each by itself may make no plant together. */
    private function mustStand(Validator $validator, Twins $twins): void
    {
        $sheet = $this->sheet();
        try {
            $twins->of(Circuit::fromWords($sheet->system, $sheet->design), HouseRuleChoice::inForce());
        } catch (CannotStand $reason) {
            $field = $reason->culprit->value ?? SystemKey::Refrigerant->value;
            $validator->errors()->add($field, $reason->getMessage());
        }
    }
}
