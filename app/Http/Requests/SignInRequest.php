<?php

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class SignInRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'email', 'max:200'],
            'password' => ['required', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'email.*' => 'Enter your e-mail address.',
            'password.*' => 'Enter your password.',
        ];
    }

    public function email(): string
    {
        return mb_strtolower((string) $this->string('email'));
    }

    public function password(): string
    {
        return (string) $this->string('password');
    }
}
