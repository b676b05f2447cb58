<?php

namespace App\Http\Requests;

use App\Models\Workshop;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** The workshop as its customers know it, and its prices. */
final class WorkshopRequest extends FormRequest
{
    public function authorize(): bool
    {
        Gate::authorize('change-house-rules');

        return true;
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['nullable', 'string', 'max:120'],
            'address' => ['nullable', 'string', 'max:240'],
            'contact' => ['nullable', 'string', 'max:120'],
            'currency' => ['required', 'in:'.implode(',', Workshop::CURRENCIES)],
            'tax_percent' => ['required', 'numeric', 'min:0', 'max:50'],
            'labour' => ['required', 'numeric', 'min:0', 'max:100000'],
            'call_out' => ['required', 'numeric', 'min:0', 'max:100000'],
            'prices' => ['nullable', 'string', 'max:8000', ChoiceRequest::areLines(...)],
        ];
    }

    /** @return array<string, mixed> its columns */
    public function columns(): array
    {
        $told = $this->validated();

        return [
            'name' => (string) $told['name'],
            'address' => (string) $told['address'],
            'contact' => (string) $told['contact'],
            'prices' => (string) $told['prices'],
            'labour' => (int) round(100 * (float) $told['labour']),
            'call_out' => (int) round(100 * (float) $told['call_out']),
        ] + $told;
    }
}
