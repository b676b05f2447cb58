<?php

namespace App\Http\Requests;

use App\Records\CircuitSheet;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;

final class CircuitRequest extends FormRequest
{
    private ?CircuitSheet $sheet = null;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:120'], 'notes' => ['nullable', 'string', 'max:4000']];
    }

    /** @return list<callable> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                foreach ($this->sheet()->errors as $field => $message) {
                    $validator->errors()->add($field, $message);
                }
            },
        ];
    }

    public function sheet(): CircuitSheet
    {
        return $this->sheet ??= new CircuitSheet($this->all(), $this->user()->units());
    }
}
