<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Card\Card;
use Metrum\Card\Outcome;
use Metrum\Data\Reasons;
use Metrum\Data\Section;
use Metrum\Knowledge\Reading;
use Metrum\Log\Content;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\Kinds\Trace;
use Metrum\Quantity\Atmosphere;

/** Reads what a fact of a card says. What cannot be is named with its path. */
final readonly class StepFact
{
    public function __construct(private Atmosphere $atmosphere)
    {
    }

    /** A step of a card: an amount in the unit of its field, or a word. */
    public function content(Section $section): ?Content
    {
        $key = $section->text('key') ?? '';
        $field = StepTaken::field($key);
        if ($field !== null) {
            $si = $section->given('value') === null ? null : $section->amount('value', $field->at($this->atmosphere));

            return new Content($key, $si, null, $si === null ? [] : self::ago($section));
        }
        $word = $section->given('word');
        if ($word === null) {
            return new Content($key);
        }
        $possible = StepTaken::words($key);
        if (! is_string($word) || ! in_array($word, $possible, true)) {
            $section->refuse('word', 'got '.Reasons::shown($word).'; allowed: '.implode(', ', $possible));

            return null;
        }

        $content = new Content($key, null, $word, self::reason($section));
        $outcome = StepTaken::outcome($content);
        $card = StepTaken::card($key);

        return $outcome === null || $card === null ? $content : $this->done($section, $card, $outcome);
    }

    /** What a card came to, with what it said and the readings that came of it. */
    private function done(Section $section, Card $card, Outcome $outcome): Content
    {
        $says = $section->besides('')['says'] ?? '';
        $keeps = [];
        foreach ($section->besides('keeps') as $key => $value) {
            $reading = Reading::tryFrom($key);
            if ($reading === null || ! is_numeric($value)) {
                $section->refuse('data.keeps.'.$key, 'expected a number, and a known reading');

                continue;
            }
            $keeps[$reading->value] = $reading->fileUnit()->toSi((float) $value);
        }

        return StepTaken::done($card, $outcome, is_string($says) ? $says : '', $keeps);
    }

    /** @return array<string, float> seconds before its entry that a value of a timed series was seen */
    private static function ago(Section $section): array
    {
        $minutes = $section->besides('')['ago_min'] ?? null;
        if ($minutes === null) {
            return [];
        }
        if (! is_numeric($minutes) || $minutes < 0 || $minutes > 2880) {
            $section->refuse('data.ago_min', 'got '.Reasons::shown($minutes).', expected 0 to 2880 min');

            return [];
        }

        return [Trace::AGO => 60.0 * (float) $minutes];
    }

    /** @return array<string, string> */
    private static function reason(Section $section): array
    {
        $reason = $section->text('reason') ?? '';

        return $reason === '' ? [] : ['reason' => $reason];
    }
}
