<?php

namespace App\Http\Requests;

/** What a password must be, and how it is said where it is not. */
final class PasswordRules
{
    public const NEW = ['required', 'string', 'min:10', 'max:200', 'confirmed'];

    public const MESSAGES = [
        'password.required' => 'Enter a password.',
        'password.min' => 'Use at least 10 characters.',
        'password.max' => 'Use no more than 200 characters.',
        'password.confirmed' => 'The passwords do not match.',
    ];
}
