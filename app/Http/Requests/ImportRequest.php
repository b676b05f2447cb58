<?php

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

final class ImportRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'file' => ['required', 'file', 'max:4096'],
            'circuit_id' => ['nullable', 'string', 'exists:circuits,id'],
        ];
    }

    /** The content of the file that was chosen. */
    public function text(): string
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? (string) $file->get() : '';
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose a visit file first.',
            'file.max' => 'The file is larger than 4 MB; a visit file is a few kilobytes.',
            'circuit_id.exists' => 'That circuit is not known.',
        ];
    }
}
