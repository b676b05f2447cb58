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
            // How long a value may be is the recorder's to say: its answer goes into the control.
            'value' => ['nullable', 'string'],
            'reason' => ['nullable', 'string', 'max:400'],
            'stage' => ['nullable', 'string', 'max:16'],
        ];
    }
}
