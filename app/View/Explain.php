<?php

namespace App\View;

use App\Models\Entry;
use Metrum\Circuit\Complaint;
use Metrum\Circuit\Fault;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\State;
use Metrum\Circuit\Test;
use Metrum\Circuit\Word;
use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\Evidence;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Outcome;
use Metrum\Findings\Figure;

/** Puts what the core found into sentences, in one person's units. */
final readonly class Explain
{
    public function __construct(private Units $units)
    {
    }

    /** "superheat at the bulb 15.6 K, usual 5.5: the coil is starved" */
    public function evidence(Evidence $piece): string
    {
        if ($piece->signal !== null) {
            $signal = $piece->signal;
            $kind = $signal->sign->quantity();
            $deviations = $signal->deviations();
            $phrase = match (true) {
                $deviations > 1.0 => $signal->sign->high,
                $deviations < -1.0 => $signal->sign->low,
                default => $signal->sign->fine,
            };

            return $signal->sign->label.
                ' '.
                $this->units->text($signal->measured, $kind).
                ', usual '.
                $this->units->number($signal->expected->value, $kind).
                ': '.
                $phrase;
        }
        if ($piece->asked !== null && $piece->word !== null) {
            return $piece->asked->label().': '.mb_strtolower($piece->word->label());
        }

        return 'Complaint: '.mb_strtolower((string) $piece->complaint?->label());
    }

    /** "below 1.0 K" */
    public function outcome(Check $check, Outcome $outcome): string
    {
        if ($outcome->word !== null) {
            return $outcome->word->label();
        }
        $kind = $check->sign?->quantity() ?? \Metrum\Quantity\Kind::Count;

        return match (true) {
            $outcome->from === null && $outcome->to !== null => 'below '.
                $this->units->text($outcome->to, $kind),
            $outcome->to === null && $outcome->from !== null => 'above '.
                $this->units->text($outcome->from, $kind),
            default => $this->units->span((float) $outcome->from, (float) $outcome->to, $kind).
                ' '.
                $this->units->symbol($kind),
        };
    }

    public function fault(Fault $fault): string
    {
        return FaultCatalogue::name($fault);
    }

    /** One line of the log, without its time. */
    public function entry(Entry $entry): string
    {
        return match ($entry->kind) {
            'reading' => Reading::from($entry->key)->short().
                ' '.
                ($entry->value === null
                    ? 'not measured'
                    : $this->units->text($entry->value, Reading::from($entry->key)->quantity())),
            'observation' => Observation::from($entry->key)->label().': '.self::word($entry),
            'test' => Test::from($entry->key)->label().': '.self::word($entry),
            'state' => State::from((string) $entry->word)->label(),
            'complaint' => Complaint::from($entry->key)->label(),
            'confirmed' => 'Confirmed: '.$this->fault(Fault::from($entry->key)),
            'ruled_out' => 'Ruled out: '.
                $this->fault(Fault::from($entry->key)).
                ($entry->typed === null ? '' : ', because '.$entry->typed),
            default => (string) $entry->typed,
        };
    }

    private static function word(Entry $entry): string
    {
        return $entry->word === null ? 'not seen' : lcfirst(Word::from($entry->word)->label());
    }

    /** @return list<array{name: string, value: string}> the inputs of a figure with the reader's own numbers */
    public function inputs(Figure $figure): array
    {
        $inputs = [];
        foreach ($figure->inputs as $name => [$si, $kind]) {
            $inputs[] = ['name' => $name, 'value' => $this->units->text($si, $kind)];
        }

        return $inputs;
    }

    public function figure(Figure $figure): string
    {
        return $figure->key === \Metrum\Findings\Derived::CompressionRatio
            ? \Metrum\Quantity\Format::number($figure->si, 1, true)
            : $this->units->text($figure->si, $figure->key->quantity());
    }

    public static function percent(float $share): string
    {
        return match (true) {
            $share > 0.0 && $share < 0.01 => "under 1\u{00A0}%",
            $share > 0.99 && $share < 1.0 => "over 99\u{00A0}%",
            default => round(100 * $share)."\u{00A0}%",
        };
    }
}
