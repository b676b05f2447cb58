<?php

namespace App\Http\Requests;

use App\Models\DecisionWord;
use Illuminate\Validation\Rule;

/** What is wanted of a decision, whoever notes it. */
final class DecisionRules
{
    /** @return array<string, list<mixed>> */
    public static function all(): array
    {
        return [
            'word' => ['required', Rule::enum(DecisionWord::class)],
            'who' => ['required', 'string', 'max:120'],
        ];
    }
}
