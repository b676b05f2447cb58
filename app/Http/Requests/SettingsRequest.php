<?php

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Metrum\Quantity\Units;

final class SettingsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'temperature' => ['required', Rule::in(Units::CHOICES['temperature'])],
            'pressure' => ['required', Rule::in(Units::CHOICES['pressure'])],
            'mass' => ['required', Rule::in(Units::CHOICES['mass'])],
            'theme' => ['required', Rule::in(['auto', 'paper', 'cold'])],
        ];
    }
}
