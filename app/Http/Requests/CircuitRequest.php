<?php

namespace App\Http\Requests;

use App\Records\CircuitSheet;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;

final class CircuitRequest extends FormRequest
{
    /** @var array<string, mixed> */
    private array $sheet = [];

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
                [$system, $design, $errors] = CircuitSheet::read($this->all(), $this->user()->units());
                foreach ($errors as $field => $message) {
                    $validator->errors()->add($field, $message);
                }
                $this->sheet = ['system' => $system, 'design' => $design];
            },
        ];
    }

    /** @return array<string, mixed> */
    public function circuit(): array
    {
        return ['name' => $this->validated('name'), 'notes' => $this->validated('notes')] + $this->sheet;
    }
}
