<?php

namespace App\Http\Requests;

use App\Models\Visit;
use App\Records\UploadLimit;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;

/** A controller's export, sent to an open visit. */
final class TrendRequest extends FormRequest
{
    public function authorize(): bool
    {
        $visit = $this->route('visit');
        assert($visit instanceof Visit);
        Gate::forUser($this->user())->authorize('enter', $visit);

        return true;
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:'.UploadLimit::kilobytes()]];
    }

    public function text(): string
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? (string) $file->get() : '';
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $most = UploadLimit::inWords();

        return [
            'file.required' => 'Choose a CSV file first.',
            'file.uploaded' => "File over $most, or upload interrupted. Try again.",
            'file.max' => "The file is larger than the $most limit. Export fewer days.",
        ];
    }
}
