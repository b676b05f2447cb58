<?php

namespace App\View;

use Metrum\Circuit\Complaint;
use Metrum\Circuit\Fault;
use Metrum\Circuit\Reading;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Sureness;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Derived;
use Metrum\Findings\Findings;
use Metrum\Quantity\Kind;
use Metrum\Quantity\Units;

/** The visit in a few sentences for the owner: what was complained of, what was found, what should be done. */
final readonly class OwnerSummary
{
    private const PROVISIONAL =
        ' The plant had not settled when we measured, '.'so we look again before we call it certain.';

    /** K off the set point that are said. */
    private const OFF = 1.0;

    public function __construct(private Findings $findings, private Verdict $verdict, private Units $units)
    {
    }

    public function text(): string
    {
        return implode(
            ' ',
            array_filter([
                $this->complaint(),
                $this->box(),
                ...$this->verdict->blank ? ['Nothing has been measured yet.'] : [$this->found(), $this->next()],
            ]),
        );
    }

    private function complaint(): string
    {
        $words = [];
        foreach ($this->findings->complaints as $complaint) {
            if ($complaint !== Complaint::None) {
                $words[] = lcfirst($complaint->label());
            }
        }

        return $words === [] ? '' : 'You called us because of this: '.implode(', ', $words).'.';
    }

    private function box(): string
    {
        $box = $this->findings->reading(Reading::BoxTemperature);
        $above = $this->verdict->figures->value(Derived::BoxAboveSetPoint);
        if ($box === null) {
            return '';
        }
        $place = match (true) {
            $above === null => '.',
            $above > self::OFF => ', '.$this->units->text($above, Kind::Difference).' warmer than set.',
            $above < -self::OFF => ', '.$this->units->text(-$above, Kind::Difference).' colder than set.',
            default => ', where it should be.',
        };

        return 'We found the box at '.$this->units->text($box, Kind::Temperature).$place;
    }

    private function found(): string
    {
        if ($this->findings->confirmed !== []) {
            $proven = array_map(
                static fn (Fault $fault): string => FaultCatalogue::entry($fault)->forTheOwner,
                $this->findings->confirmed,
            );

            return 'Found and proven: '.implode(' ', $proven);
        }
        $first = $this->verdict->first();
        $sentence = $first->entry()->forTheOwner;
        $said = match (true) {
            ! $this->verdict->leads() => 'The cause is not yet certain; the likeliest so far: '.
                lcfirst($sentence),
            $first->fault === Fault::NoFault || $first->sureness() === Sureness::Sure => $sentence,
            default => 'Most likely: '.lcfirst($sentence),
        };

        return $said.($this->verdict->settled->isOpen() ? '' : self::PROVISIONAL);
    }

    private function next(): string
    {
        $proven = $this->findings->confirmed[0] ?? null;
        $leading = $this->verdict->leading();
        if ($proven !== null || $leading !== null) {
            return FaultCatalogue::entry($proven ?? $leading)->whatWeDo;
        }
        $check = $this->verdict->nextCheck();

        return $check === null ? '' : 'Next we look at this: '.lcfirst($check->title()).'.';
    }
}
