<?php

namespace App\Http\Requests;

use App\Models\OwnerChoice;
use App\Models\PriceLines;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** A choice of an owner, as a technician writes it. */
final class ChoiceRequest extends FormRequest
{
    public function authorize(): bool
    {
        $choice = $this->route('choice');
        Gate::authorize('tell', $choice instanceof OwnerChoice ? $choice->visit : $this->route('visit'));

        return true;
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:120'],
            'does' => ['nullable', 'string', 'max:2000'],
            'lasts' => ['nullable', 'string', 'max:240'],
            'prepare' => ['nullable', 'string', 'max:240'],
            'risk' => ['nullable', 'string', 'max:500'],
            'lines' => ['nullable', 'string', 'max:8000', self::areLines(...)],
        ];
    }

    /** @param  Closure(string): mixed  $fail */
    public static function areLines(string $key, mixed $typed, Closure $fail): void
    {
        foreach (PriceLines::read((string) $typed)->wrong as $reason) {
            $fail($reason);
        }
    }

    /** @return array<string, string> its columns */
    public function columns(): array
    {
        return array_map(strval(...), $this->validated());
    }
}
