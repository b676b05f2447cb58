<?php

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Reader;
use Metrum\Quantity\Unit;

final class SiteRequest extends FormRequest
{
    private float $altitude = 0.0;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'altitude' => ['nullable', 'string', 'max:30'],
            'place' => ['nullable', 'string', 'max:240'],
            'contact' => ['nullable', 'string', 'max:240'],
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
        ];
    }
}
