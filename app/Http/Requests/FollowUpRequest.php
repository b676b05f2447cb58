<?php

namespace App\Http\Requests;

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
            'what' => ['required', 'string', 'max:240'],
        ] + parent::rules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'due_on.after_or_equal' => 'The date lies in the past; today or later is possible.',
            'due_on.date_format' => 'That date does not exist; one as 2026-12-01 is wanted.',
            'due_on.before' => 'The date is more than ten years ahead.',
            'due_on.required' => 'A follow-up needs its date.',
            'what.required' => 'Say what is to be done then.',
        ];
    }
}
