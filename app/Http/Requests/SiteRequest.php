<?php

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Metrum\Language\Tongue;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Reader;
use Metrum\Quantity\Unit;

final class SiteRequest extends FormRequest
{
    private float $altitude = 0.0;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'altitude' => ['nullable', 'string', 'max:30'],
            'place' => ['nullable', 'string', 'max:240'],
            'contact' => ['nullable', 'string', 'max:240'],
            'language' => ['nullable', Rule::in(array_keys(Tongue::KNOWN))],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Enter the site name.',
            'name.*' => 'Site name: use no more than 120 characters.',
            'altitude.*' => 'Elevation: enter a number, e.g. 120 m or 400 ft.',
            'place.*' => 'Location: use no more than 240 characters.',
            'contact.*' => 'Contact: use no more than 240 characters.',
            'language.*' => 'Choose one of the languages listed.',
        ];
    }

    /** @return list<callable> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                $typed = trim((string) $this->string('altitude'));
                try {
                    $this->altitude =
                        $typed === '' ? 0.0 : Reader::read($typed, QuantityKind::Altitude, Unit::Metre)->si;
                    Atmosphere::atAltitude($this->altitude);
                } catch (NotAQuantity $error) {
                    $validator->errors()->add('altitude', $error->getMessage());
                }
            },
        ];
    }

    /** @return array<string, mixed> */
    public function site(): array
    {
        return [
            'name' => $this->validated('name'),
            'place' => $this->validated('place'),
            'contact' => $this->validated('contact'),
            'altitude_m' => $this->altitude,
            'language' => $this->validated('language') ?? Tongue::ENGLISH,
        ];
    }
}
