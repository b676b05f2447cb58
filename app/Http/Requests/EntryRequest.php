<?php

namespace App\Http\Requests;

use App\Models\Visit;
use Illuminate\Foundation\Http\FormRequest;

final class EntryRequest extends FormRequest
{
    public function authorize(): bool
    {
        $visit = $this->route('visit');
        $user = $this->user();
        assert($visit instanceof Visit && $user !== null);
        \Illuminate\Support\Facades\Gate::forUser($user)->authorize('enter', $visit);

        return true;
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'id' => ['required_if:kind,line', 'nullable', 'ulid'],
            'kind' => ['required', 'string', 'max:16'],
            'key' => ['required', 'string', 'max:48'],
            'value' => ['nullable', 'string', 'max:4000'],
            'reason' => ['nullable', 'string', 'max:400'],
            'stage' => ['nullable', 'string', 'max:16'],
        ];
    }
}
