<?php

namespace App\View;

use App\Records\JudgedVisit;
use Metrum\Quantity\Format;
use Metrum\Quantity\Units;
use Metrum\Work\Charging\Charging;
use Metrum\Work\Charging\ChargingCircumstances;
use Metrum\Work\Charging\ChargingSchool;
use Metrum\Work\Charging\Knee;

/** What is told of a charge: what is missing and by what that is known, where the knee is, what could take it. */
final readonly class ChargeWords
{
    public function __construct(
        private JudgedVisit $judged,
        private Units $units,
        private Charging $charging,
        private ChargingCircumstances $around,
    ) {
    }

    /** What is missing: by weights and the twin, or how it is found where no kilograms can be said. */
    public function missing(): string
    {
        $estimate = $this->charging->estimate();
        if ($this->charging->isShared()) {
            return 'Its charge is the whole plant\'s: no kilograms from one circuit. The receiver\'s level tells, '.
                'held against date, weather and what is in defrost.';
        }
        if ($this->charging->isSilent()) {
            return 'Two additions changed nothing that was foretold. '.$this->whatTakesIt();
        }
        if (! $this->charging->isInKilograms()) {
            return 'How large this plant is nobody has said, so no grams: small steps, each waited for and read, '.
                $this->way();
        }
        if ($estimate === null) {
            return 'How much is missing cannot be told yet: superheat and subcooling are wanted, read settled.';
        }
        $about = $this->units->mass(abs($estimate->missing)).' ± '.$this->units->mass($estimate->deviation);
        $share = Format::number((100 * abs($estimate->missing)) / $estimate->right, 0).' %';
        $missing = $this->charging->missing();
        $isWeighed = $this->judged->assessment->weighedIn()->exact !== null;
        $by = $isWeighed ? 'By what was weighed in, and the twin' : 'By the twin';

        return match (true) {
            $missing === null && $this->charging->isUnsealed() => "Gas still leaves with the liquid, though $by ".
                "hardly anything is missing ($about): look at restriction, head and heat on the line first.",
            $missing === null => "$by it is right within what can be told ($about).",
            $missing > 0.0 => "$by $about are missing, $share of the charge.",
            default => "$by $about are too much, $share of the charge.",
        };
    }

    /** How the end is found without kilograms. */
    private function way(): string
    {
        return match ($this->charging->school) {
            ChargingSchool::Receiver => 'until the glass clears, clears again, and the level stands where it should.',
            ChargingSchool::Knee => 'until superheat stands and subcooling climbs to what is wanted.',
            ChargingSchool::ByWeight,
            ChargingSchool::Capillary => 'is no way here: recover, and weigh in what the plate says.',
        };
    }

    /** Where refrigerant may go that changes nothing. */
    private function whatTakesIt(): string
    {
        $circuit = $this->judged->findings->circuit;
        $places = array_filter([
            $circuit->hasReceiver() ? 'the receiver fills without showing it' : '',
            $this->around->floods() ? 'the condenser floods in the cold' : '',
            $this->around->isCool() ? 'cold oil and a cold low side take it up' : '',
            'the scale or a hose deceives',
            'a restriction or the valve holds the coil short, whatever is behind it',
        ]);

        return 'What could take it: '.implode('; ', $places).'. Nothing more goes in before that is known.';
    }

    /** Where superheat stopped falling; empty where that is not seen yet. */
    public function knee(): string
    {
        $knee = $this->charging->knee();
        $isKnee = $this->charging->school === ChargingSchool::Knee;

        return match (true) {
            $knee !== null && $knee->added <= 0.0 => 'It was at the knee or beyond before anything was added: '.
                'superheat stands and subcooling climbs, what comes after only fills the condenser.',
            $knee !== null => 'The knee is at '.$this->units->signedMass($knee->added).$this->inAll($knee).
                ': from there on '.
                'superheat stands and subcooling climbs, what comes after only fills the condenser.',
            $isKnee && $this->charging->log->isCharging() => 'No knee yet. Superheat may even rise first, while the '.
                'condenser fills: the end is where it stands and subcooling climbs.',
            default => '',
        };
    }

    /** ", 1.35 kg in all"; empty where nobody weighed what is in. */
    private function inAll(Knee $knee): string
    {
        $exact = $this->judged->assessment->weighedIn()->exact;

        return $exact === null
            ? ''
            : ', '.$this->units->mass($exact - $this->charging->log->added() + $knee->added).' in all';
    }
}
