<?php

namespace App\Http\Requests;

use App\Models\Circuit;
use App\Records\UploadLimit;
use App\Records\VisitLines;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;

final class ImportRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'file' => ['required', 'file', 'max:'.UploadLimit::kilobytes()],
            'circuit_id' => ['nullable', 'string', 'exists:parts,id'],
            'other_refrigerant' => ['nullable', 'boolean'],
        ];
    }

    /** The content of the file that was chosen. */
    public function text(): string
    {
        $file = $this->upload();

        return $file === null ? '' : (string) $file->get();
    }

    public function name(): string
    {
        return (string) $this->upload()?->getClientOriginalName();
    }

    /** Where the visits belong; null: a circuit of their own. */
    public function circuit(): ?Circuit
    {
        return Circuit::query()->with('site', 'plant')->where('id', $this->validated('circuit_id'))->first();
    }

    /** A file of one refrigerant into a circuit of another asks first. @throws ValidationException */
    public function asksAboutRefrigerant(VisitLines $lines, ?Circuit $circuit): void
    {
        if ($circuit === null || $this->boolean('other_refrigerant')) {
            return;
        }
        foreach ($lines->all as [, $line]) {
            $told = json_decode($line, true)['system']['refrigerant'] ?? null;
            if (is_string($told) && $told !== $circuit->known()->refrigerant) {
                throw ValidationException::withMessages([
                    'other_refrigerant' => "File: $told, circuit: ".
                        $circuit->known()->refrigerant.
                        '. Choose the file again and tick “Import into this circuit anyway”.',
                ]);
            }
        }
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $most = UploadLimit::inWords();

        return [
            'file.required' => 'Choose a visit file first.',
            'file.uploaded' => "File over $most, or upload interrupted. Try again.",
            'file.max' => "The file is larger than the $most limit; a visit file has a few kilobytes. ".
                'Nothing was saved.',
            'circuit_id.exists' => 'Choose a circuit of this workshop.',
        ];
    }

    private function upload(): ?UploadedFile
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file : null;
    }
}
