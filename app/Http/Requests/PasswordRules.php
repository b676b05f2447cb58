<?php

namespace App\Http\Requests;

/** What a password must be, and how it is said where it is not. */
final class PasswordRules
{
    public const NEW = ['required', 'string', 'min:10', 'max:200', 'confirmed'];

    public const MESSAGES = [
        'password.required' => 'A password is wanted.',
        'password.min' => 'At least ten characters are wanted.',
        'password.max' => 'At most 200 characters are possible.',
        'password.confirmed' => 'The two are not the same.',
    ];
}
