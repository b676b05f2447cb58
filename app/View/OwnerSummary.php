<?php

namespace App\View;

use App\Records\JudgedVisit;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Findings\Findings;
use Metrum\Findings\Trips;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\CompressorStop;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Desk\FoundAs;
use Metrum\Work\Desk\LeftAs;
use Metrum\Work\Desk\OwnerView;
use Metrum\Work\Movements;

/** The whole visit for the owner: what was wrong, what was done, what is still wrong, and who comes back when. */
final readonly class OwnerSummary
{
    private const PROVISIONAL =
        ' The plant had not settled when we measured, '.'so we look again before we call it certain.';

    private const OFF = OwnerView::OFF;

    private OwnerView $view;

    public function __construct(private JudgedVisit $judged, private Units $units)
    {
        $this->view = new OwnerView($judged->desk);
    }

    public function text(): string
    {
        return implode(' ', [...$this->wrong(), ...$this->did(), ...$this->now(), ...$this->comesBack()]);
    }

    /** @return list<string> what was wrong when we came */
    public function wrong(): array
    {
        return array_values(array_filter([
            $this->complaint(),
            $this->box($this->view->asFound->findings(), 'We found the '.$this->judged->findings->circuit->room().' at '),
            ...$this->trips(),
            $this->found(),
        ]));
    }

    private function complaint(): string
    {
        $words = array_map(
            static fn (Complaint $one): string => lcfirst($one->label()),
            $this->view->complaints(),
        );

        return $words === [] ? '' : 'You called us because of this: '.implode(', ', $words).'.';
    }

    private function box(Findings $findings, string $opening): string
    {
        $box = $findings->reading(Reading::BoxTemperature);
        $set = $findings->circuit->design->boxSetPoint;
        if ($box === null) {
            return '';
        }
        $above = $set === null ? null : $box - $set;
        $place = match (true) {
            $above === null => '.',
            $above > self::OFF => ', '.$this->units->text($above, QuantityKind::Difference).' warmer than set.',
            $above < -self::OFF => ', '.$this->units->text(-$above, QuantityKind::Difference).' colder than set.',
            default => ', where it should be.',
        };

        return $opening.$this->units->text($box, QuantityKind::Temperature).$place;
    }

    /** @return list<string> */
    private function trips(): array
    {
        $said = [];
        foreach (Trips::of($this->judged->log)->all as [$word, , $ranAgain]) {
            $said[] = match ($word->stop()) {
                CompressorStop::HighPressure => 'The compressor had been stopped by too high a pressure',
                CompressorStop::LowPressure => 'The compressor had been stopped by too low a pressure',
                CompressorStop::Oil => 'The compressor had been stopped for want of oil pressure',
                CompressorStop::Overload => 'The compressor had been stopped by its overload protection',
                CompressorStop::Thermostat => 'The compressor had been stopped by its thermostat',
                CompressorStop::NoStart, null => 'The compressor did not start',
            }.($ranAgain ? '; it runs again, and why it stopped stays to be watched.' : '.');
        }

        return array_values(array_unique($said));
    }

    private function found(): string
    {
        $verdict = $this->view->verdictAsFound();
        $sentence = $verdict->first()->entry()->forTheOwner;
        $found = $this->view->foundAs();
        $said = match ($found) {
            FoundAs::Proven => 'Found and proven: '.implode(' ', array_map(
                static fn (Fault $fault): string => FaultCatalogue::entry($fault)->forTheOwner,
                $this->view->confirmed(),
            )),
            FoundAs::NotLookedAt => 'Nothing has been measured yet.',
            FoundAs::NothingSeen => 'Nothing that we measured points to a fault of the cooling plant yet.',
            FoundAs::Uncertain => 'The cause is not yet certain; the likeliest so far: '.lcfirst($sentence),
            FoundAs::Sure => $sentence,
            FoundAs::Likely => 'Most likely: '.lcfirst($sentence),
        };
        $isSaid = in_array($found, [FoundAs::Proven, FoundAs::NotLookedAt], true) || $verdict->settled->isOpen();

        return $said.($isSaid ? '' : self::PROVISIONAL);
    }

    /** @return list<string> what we did, each kind of work once */
    public function did(): array
    {
        $said = [];
        foreach ($this->view->did() as $fact) {
            $control = Control::from($fact->content->key);
            $sentence = $control->row()->forTheOwner;
            if ($control === Control::ThermostatSet) {
                $sentence = 'The thermostat is '.PlantMoved::amount($fact->content, $this->units).'.';
            }
            $part = $fact->part->name();
            $said[$sentence.$part] = $part === '' ? $sentence : rtrim($sentence, '.')." ($part).";
        }

        return array_values(array_filter([
            ...array_values($said),
            $this->refrigerant(),
            ...(new LeakStory($this->judged->assessment))->forTheOwner(),
        ]));
    }

    private function refrigerant(): string
    {
        $moved = Movements::of($this->judged->log);
        $name = $this->judged->findings->circuit->refrigerant;
        $parts = array_filter([
            $moved->added > 0.0 ? 'We added '.$this->units->mass($moved->added)." of refrigerant $name" : '',
            $moved->recovered > 0.0
                ? 'We took out '.$this->units->mass($moved->recovered)." of refrigerant $name into a cylinder"
                : '',
        ]);
        $early = Movements::beforeTheLeakWasFound($this->judged->log);
        $reason = ($early[0] ?? null)?->content->text(PlantMoved::OVERRULED) ?? '';
        $why = $early === [] ? '' : ' before the leak was found'.($reason === '' ? '' : ", because $reason");

        return $parts === [] ? '' : implode('; ', $parts).$why.'.';
    }

    /** @return list<string> how we left it, and what is still to be done */
    public function now(): array
    {
        $open = (new OpenItems($this->judged, $this->units))->forTheOwner();

        return array_values(array_filter([
            $this->left(),
            ...$open,
            $open === [] && $this->view->isRight() ? 'Nothing needs mending.' : $this->next(),
        ]));
    }

    private function left(): string
    {
        if (! $this->view->isMoved()) {
            return '';
        }
        $now = $this->judged->assessment->present()->chapter->findings;
        $room = $now->circuit->room();
        $isRead = $now->reading(Reading::BoxTemperature) !== null;
        $wasRead = $this->view->asFound->findings()->reading(Reading::BoxTemperature) !== null;
        $box = match (true) {
            $isRead => $this->box($now, "When we left, the $room stood at ").' ',
            $wasRead => "How cold the $room gets now is still to be seen. ",
            default => '',
        };

        return $box.match ($this->view->leftAs()) {
            LeftAs::NotReadAgain => 'After the last step nothing was measured again yet.',
            LeftAs::Sound => 'What we measured after the work is as it should be.',
            LeftAs::SoundButMissed => 'What we measured after the work points to no other fault; not all of it is '.
                'where it should be yet.',
            LeftAs::NoFaultSeen => 'What we measured after the work points to no fault.',
            LeftAs::StillWrong => 'Still to be seen to: '.
                lcfirst($this->judged->verdict->first()->entry()->forTheOwner),
            LeftAs::Unknown => 'What we measured after the work does not tell yet whether all is right.',
        };
    }

    /** What is done next about what is still wrong; empty where that was done already, or nothing is known. */
    private function next(): string
    {
        $wrong = $this->view->stillWrong();
        $check = $this->view->nextCheck();

        return match (true) {
            $wrong !== null => FaultCatalogue::entry($wrong)->whatWeDo,
            $check !== null => 'Next we look at this: '.lcfirst($check->title()).'.',
            default => '',
        };
    }

    /** @return list<string> who comes back, when and for what */
    public function comesBack(): array
    {
        $said = [];
        foreach ($this->judged->visit->followUps()->orderBy('due_on')->get() as $one) {
            if ($one->done_at === null) {
                $said[] = 'On '.$one->due_on->format('j F').' we come back: '.lcfirst(rtrim($one->what, '.')).'.';
            }
        }

        return $said;
    }
}
