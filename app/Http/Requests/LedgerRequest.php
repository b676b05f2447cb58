<?php

namespace App\Http\Requests;

use App\Records\UploadLimit;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** A file of movements of refrigerant. */
final class LedgerRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:'.UploadLimit::kilobytes()]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose a file first: CSV or JSON.',
            'file.max' => 'The file is larger than the '.UploadLimit::inWords().' limit. Nothing was saved.',
        ];
    }

    public function text(): string
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? (string) $file->get() : '';
    }
}
