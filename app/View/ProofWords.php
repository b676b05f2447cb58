<?php

namespace App\View;

use Metrum\Language\Several;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Desk\BeforeAndNow;
use Metrum\Work\Desk\Missing;
use Metrum\Work\Desk\Proof;
use Metrum\Work\Desk\Target;

/** What proves a repair, in words. */
final readonly class ProofWords
{
    public function __construct(private Units $units)
    {
    }

    public function label(Proof $proof): string
    {
        return match ($proof->target) {
            Target::Box => 'Box at its set point',
            Target::CoilSuperheat => 'Superheat at the coil',
            Target::CompressorSuperheat => 'Superheat at the compressor',
            Target::Subcooling => 'Liquid: subcooling',
            Target::CoilDifference => 'Coil: TD',
            Target::Settled => 'Settled',
            Target::PullDown => 'Pull-down',
            Target::PutBack => 'All put back',
            Target::SecondLook => 'Seen again after two defrosts or a day',
        };
    }

    /** By what it stands as it does. */
    public function said(Proof $proof): string
    {
        return $proof->missing === null ? $this->read($proof) : $this->missing($proof, $proof->missing);
    }

    private function read(Proof $proof): string
    {
        return match ($proof->target) {
            Target::Box => $this->units->text((float) $proof->value, QuantityKind::Difference).' above it',
            Target::CoilSuperheat,
            Target::CompressorSuperheat,
            Target::Subcooling,
            Target::CoilDifference => $this->units->text((float) $proof->value, QuantityKind::Difference).', '.
                $this->wanted($proof),
            Target::Settled => '',
            Target::PullDown => $this->units->text((float) $proof->value, QuantityKind::DifferenceRate),
            Target::PutBack => $proof->isMissed() ? (int) $proof->value.' still open' : '',
            Target::SecondLook => 'to be on '.$proof->on?->format('j M Y'),
        };
    }

    private function missing(Proof $proof, Missing $missing): string
    {
        return match ($missing) {
            Missing::NotRead => 'not read since the last move'.
                ($proof->wanted === null ? '' : ', '.$this->wanted($proof)),
            Missing::ClockRuns => 'a clock still runs',
            Missing::NotReadAgain => 'not read since the last move',
            Missing::NotSettled => Several::apart($proof->reasons)->in($this->units),
            Missing::NotTimed => 'not timed: note the box twice, doors shut',
            Missing::NotDated => Explain::within((string) $proof->changed?->label()).
                ' was changed: date a second look',
        };
    }

    /** "wanted 4.0 … 7.0 K" */
    private function wanted(Proof $proof): string
    {
        $band = $proof->wanted;
        $kind = QuantityKind::Difference;

        return $band === null
            ? ''
            : 'wanted '.$this->units->span($band->low, $band->high, $kind).' '.$this->units->symbol($kind);
    }

    /** @return array{string, string, string, string} figure, as found, now, change */
    public function compared(BeforeAndNow $one): array
    {
        $kind = $one->of->quantity();
        $change = $one->change();
        $text = fn (?float $si): string => $si === null ? 'not read' : $this->units->text($si, $kind);
        // A change of a temperature is a difference.
        $as = $kind === QuantityKind::Temperature ? QuantityKind::Difference : $kind;

        return [
            $one->of->label(),
            $text($one->was),
            $text($one->is),
            $change === null ? '' : ($change > 0.0 ? '+' : '').$this->units->text($change, $as),
        ];
    }
}
