<?php

namespace App\View;

use Metrum\Circuit\Reading;
use Metrum\Diagnosis\AsTyped;
use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\Evidence;
use Metrum\Diagnosis\Outcome;
use Metrum\Diagnosis\Signal;
use Metrum\Findings\Derived;
use Metrum\Findings\Figure;
use Metrum\Findings\Findings;
use Metrum\Findings\Mark;
use Metrum\Log\Fact;
use Metrum\Quantity\Format;
use Metrum\Quantity\Kind;
use Metrum\Quantity\Units;

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
            return $this->signal($piece->signal);
        }
        if ($piece->asked !== null && $piece->word !== null) {
            return $piece->asked->label().': '.mb_strtolower($piece->word->label());
        }

        return 'Complaint: '.mb_strtolower((string) $piece->complaint?->label());
    }

    /** "below 1.9 bar": in what is typed for it, where one reading is; else in the figure. */
    public function outcome(Check $check, Outcome $outcome, AsTyped $asTyped): string
    {
        if ($outcome->word !== null) {
            return $outcome->word->label();
        }
        $typed = $asTyped->ends($check, $outcome);
        $kind = $typed === null ? $check->sign?->row()->quantity : AsTyped::reading($check)?->quantity();
        [$from, $to] = $typed ?? [$outcome->from, $outcome->to];

        return $this->between($from, $to, $kind ?? Kind::Count);
    }

    private function between(?float $from, ?float $to, Kind $kind): string
    {
        return match (true) {
            $from === null && $to !== null => 'below '.$this->units->text($to, $kind),
            $to === null && $from !== null => 'above '.$this->units->text($from, $kind),
            default => $this->units->span((float) $from, (float) $to, $kind).' '.$this->units->symbol($kind),
        };
    }

    /** One line of the log, without its time. */
    public function fact(Fact $fact): string
    {
        return $fact->rule()->line($fact->content, $this->units);
    }

    /** @return list<array{name: string, value: string}> the inputs of a figure with the reader's own numbers */
    public function inputs(Figure $figure, Findings $findings): array
    {
        $inputs = [];
        foreach ($figure->from as $one) {
            [$label, $si, $kind] =
                $one instanceof Reading
                    ? [$one->label(), $findings->reading($one), $one->quantity()]
                    : [$one->field()->label, $findings->circuit->design->value($one), $one->field()->kind];
            $inputs[] = ['name' => $label, 'value' => $this->units->text((float) $si, $kind)];
        }

        return $inputs;
    }

    public function figure(Figure $figure): string
    {
        return $figure->key === Derived::CompressionRatio
            ? Format::number($figure->si, 1, true)
            : $this->units->text($figure->si, $figure->key->quantity());
    }

    /** A heading within a sentence: what begins with a shortening keeps it. */
    public static function within(string $heading): string
    {
        return preg_match('/^\p{Lu}{2}/u', $heading) === 1 ? $heading : lcfirst($heading);
    }

    public static function percent(float $share): string
    {
        return match (true) {
            $share > 0.0 && $share < 0.01 => "under 1\u{00A0}%",
            $share > 0.99 && $share < 1.0 => "over 99\u{00A0}%",
            default => round(100 * $share)."\u{00A0}%",
        };
    }

    private function signal(Signal $signal): string
    {
        $row = $signal->sign->row();
        $deviations = $signal->deviations();
        $phrase = match (true) {
            $deviations > Mark::FINE_WITHIN => $row->high,
            $deviations < -Mark::FINE_WITHIN => $row->low,
            default => $row->fine,
        };
        $measured = $this->units->text($signal->measured, $row->quantity);
        $usual = $this->units->number($signal->expected->value, $row->quantity);

        // Told apart only where they read differently.
        $beside = $usual === $this->units->number($signal->measured, $row->quantity) ? '' : ', usual '.$usual;

        return $row->label.' '.$measured.$beside.': '.$phrase;
    }
}
