<?php

namespace App\View;

use Metrum\Circuit\Fault;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Derived;
use Metrum\Findings\Findings;
use Metrum\Quantity\Kind;

/** The visit in a few sentences for the owner: what was complained of, what was found, what should be done. */
final readonly class OwnerSummary
{
    public function __construct(private Findings $findings, private Verdict $verdict, private Units $units)
    {
    }

    public function text(): string
    {
        return implode(' ', array_filter([$this->complaint(), $this->box(), $this->found(), $this->sure(), $this->next()]));
    }

    private function complaint(): string
    {
        $words = array_map(static fn ($complaint): string => mb_strtolower($complaint->label()), $this->findings->complaints);

        return $words === [] ? '' : 'You called us because of: '.implode(', ', $words).'.';
    }

    private function box(): string
    {
        $box = $this->findings->reading(\Metrum\Circuit\Reading::BoxTemperature);
        $above = $this->verdict->figures->value(Derived::BoxAboveSetPoint);
        if ($box === null) {
            return '';
        }

        return 'The box stood at '.$this->units->text($box, Kind::Temperature).($above === null ? '.' : ($above > 1.0 ? ', '.$this->units->text($above, Kind::Difference).' above its setting.' : ', where it should be.'));
    }

    private function found(): string
    {
        if ($this->findings->confirmed !== []) {
            return 'Found and proven: '.implode('; ', array_map(static fn (Fault $fault): string => mb_strtolower(FaultCatalogue::name($fault)), $this->findings->confirmed)).'. '.FaultCatalogue::entry($this->findings->confirmed[0])->mechanism;
        }
        if ($this->verdict->blank) {
            return 'Nothing has been measured yet.';
        }
        $first = $this->verdict->first();
        if ($first->fault === Fault::NoFault) {
            return 'The plant runs as it should for this box and this weather.';
        }

        return ($first->probability > 0.7 ? 'Most likely: ' : 'At present the likeliest cause is: ').mb_strtolower($first->entry()->name).'. '.$first->entry()->mechanism;
    }

    private function sure(): string
    {
        if ($this->verdict->blank || $this->findings->confirmed !== []) {
            return '';
        }

        return ($this->verdict->unsettled === [] ? '' : 'The plant had not settled, so this is provisional. ').'Certainty: '.Explain::percent($this->verdict->first()->probability).'.';
    }

    private function next(): string
    {
        if ($this->verdict->blank) {
            return '';
        }
        if ($this->findings->confirmed !== []) {
            return 'What is needed: '.FaultCatalogue::entry($this->findings->confirmed[0])->do[0];
        }
        $first = $this->verdict->first();

        return $first->fault === Fault::NoFault ? '' : 'What is needed: '.$this->verdict->remedies($first)[0];
    }
}
