<?php

namespace App\Http\Requests;

use App\Models\FollowUp;
use Metrum\Knowledge\Station;

final class FollowUpRequest extends VisitRequest
{
    /** A second look can be noted after the visit was closed. */
    protected function ability(): string
    {
        return 'followUp';
    }

    protected function usual(): Station
    {
        return Station::Leave;
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'due_on' => ['required', 'date_format:Y-m-d', 'after_or_equal:today', 'before:+10 years'],
            'what' => ['required', 'string', 'max:'.FollowUp::LONGEST],
            ...array_fill_keys(FollowUp::SAID, ['nullable', 'string', 'max:'.FollowUp::LONGEST]),
        ] + parent::rules();
    }

    /** @return array<string, string> reason, condition, preparation and what to bring, by key */
    public function said(): array
    {
        return array_map(strval(...), array_intersect_key($this->validated(), array_flip(FollowUp::SAID)));
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'due_on.after_or_equal' => 'The date is in the past. Choose today or later.',
            'due_on.date_format' => 'Not a valid date. Use the form 2026-12-01.',
            'due_on.before' => 'Choose a date within ten years.',
            'due_on.required' => 'Enter a date.',
            'what.required' => 'Enter what to do.',
        ];
    }
}
