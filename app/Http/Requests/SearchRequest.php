<?php

namespace App\Http\Requests;

use App\Records\Search;
use App\Records\SearchState;
use App\Records\Stock;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class SearchRequest extends FormRequest
{
    private const LONGEST = 200;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'q' => ['nullable', 'string', 'max:'.self::LONGEST],
            'state' => ['nullable', Rule::enum(SearchState::class)],
        ];
    }

    public function search(): Search
    {
        return new Search(
            trim((string) $this->string('q')),
            SearchState::tryFrom((string) $this->string('state')),
            new Stock(),
        );
    }
}
