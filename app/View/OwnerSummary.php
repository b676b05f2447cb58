<?php

namespace App\View;

use App\Records\JudgedVisit;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Sureness;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Findings;
use Metrum\Findings\Trips;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\CompressorStop;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Account;
use Metrum\Work\Movements;

/** The whole visit for the owner: what was wrong, what was done, what is still wrong, and who comes back when. */
final readonly class OwnerSummary
{
    private const PROVISIONAL =
        ' The plant had not settled when we measured, '.'so we look again before we call it certain.';

    /** K off the set point that are said. */
    private const OFF = 1.0;

    private Account $asFound;

    public function __construct(private JudgedVisit $judged, private Units $units)
    {
        $this->asFound = $judged->assessment->asFound();
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
            $this->box($this->asFound->findings(), 'We found the '.$this->judged->findings->circuit->room().' at '),
            ...$this->trips(),
            $this->found(),
        ]));
    }

    private function complaint(): string
    {
        $words = [];
        foreach ($this->judged->present()->complaints as $complaint) {
            if ($complaint !== Complaint::None) {
                $words[] = lcfirst($complaint->label());
            }
        }

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
        $confirmed = $this->confirmed();
        if ($confirmed !== []) {
            $proven = array_map(
                static fn (Fault $fault): string => FaultCatalogue::entry($fault)->forTheOwner,
                $confirmed,
            );

            return 'Found and proven: '.implode(' ', $proven);
        }
        if (! $this->asFound->chapter->wasLookedAt()) {
            return 'Nothing has been measured yet.';
        }
        $verdict = $this->verdictAsFound();
        $sentence = $verdict->first()->entry()->forTheOwner;
        $isFine = $verdict->first()->fault === Fault::NoFault;
        $said = match (true) {
            ! $verdict->leads() && $isFine => 'Nothing that we measured points to a fault of the cooling plant yet.',
            ! $verdict->leads() => 'The cause is not yet certain; the likeliest so far: '.lcfirst($sentence),
            $isFine || $verdict->first()->sureness() === Sureness::Sure => $sentence,
            default => 'Most likely: '.lcfirst($sentence),
        };

        return $said.($verdict->settled->isOpen() ? '' : self::PROVISIONAL);
    }

    /** The verdict on what was found before anything was moved. */
    private function verdictAsFound(): Verdict
    {
        return $this->asFound->chapter->number === $this->judged->assessment->judged()->chapter->number
            ? $this->judged->verdict
            : $this->judged->assessment->verdict($this->asFound);
    }

    /** @return list<Fault> proven at this visit, those too that were put right since */
    private function confirmed(): array
    {
        return array_map(
            static fn (Fact $fact): Fault => Fault::from($fact->content->key),
            $this->judged->log->standing(FactKind::Confirmed),
        );
    }

    /** @return list<string> what we did, each kind of work once */
    public function did(): array
    {
        $said = [];
        foreach ($this->judged->log->history(FactKind::Move) as $fact) {
            $control = Control::from($fact->content->key);
            $sentence = $control->row()->forTheOwner;
            if ($control === Control::Charge) {
                continue;
            }
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
            $open === [] && $this->isRight() ? 'Nothing needs mending.' : $this->next(),
        ]));
    }

    private function left(): string
    {
        if (count($this->judged->assessment->chapters->all) === 1) {
            return '';
        }
        $assessment = $this->judged->assessment;
        $now = $assessment->present()->chapter->findings;
        $room = $now->circuit->room();
        $isRead = $now->reading(Reading::BoxTemperature) !== null;
        $wasRead = $this->asFound->findings()->reading(Reading::BoxTemperature) !== null;
        $box = match (true) {
            $isRead => $this->box($now, "When we left, the $room stood at ").' ',
            $wasRead => "How cold the $room gets now is still to be seen. ",
            default => '',
        };
        $verdict = $this->judged->verdict;

        return $box.match (true) {
            $assessment->isBeforeLastMove() => 'After the last step nothing was measured again yet.',
            $verdict->first()->fault === Fault::NoFault => $this->soundAfter($verdict->leads()),
            $verdict->leads() => 'Still to be seen to: '.lcfirst($verdict->first()->entry()->forTheOwner),
            default => 'What we measured after the work does not tell yet whether all is right.',
        };
    }

    /** Whether the plant was proven to run as it should, at its set point, nothing put in before a leak was found. */
    private function isRight(): bool
    {
        $verdict = $this->judged->verdict;
        $above = $verdict->figures->value(DerivedFigure::BoxAboveSetPoint);

        $isMoved = count($this->judged->assessment->chapters->all) > 1;
        $isReadAgain = ! $isMoved || $this->judged->present()->reading(Reading::BoxTemperature) !== null;

        return ! $verdict->blank &&
            $isReadAgain &&
            ! $this->judged->assessment->isBeforeLastMove() &&
            $verdict->settled->isOpen() &&
            $verdict->first()->fault === Fault::NoFault &&
            $verdict->leads() &&
            $this->judged->present()->confirmed === [] &&
            abs($above ?? 0.0) <= self::OFF;
    }

    /** Sound by its verdict is not yet all where it should be. */
    private function soundAfter(bool $leads): string
    {
        if ((new WorkSide($this->judged, $this->units))->missed() !== []) {
            return 'What we measured after the work points to no other fault; not all of it is where it should be yet.';
        }

        return $leads
            ? 'What we measured after the work is as it should be.'
            : 'What we measured after the work points to no fault.';
    }

    /** What is done next about what is still wrong; empty where that was done already, or nothing is known. */
    private function next(): string
    {
        $proven = $this->judged->present()->confirmed[0] ?? null;
        $leading = $proven ?? $this->judged->verdict->leading();
        if ($leading !== null && $leading !== Fault::NoFault) {
            return (new OpenRemedies($this->judged))->isDone($leading) ? '' : FaultCatalogue::entry($leading)->whatWeDo;
        }
        $check = $this->judged->verdict->nextCheck();

        return $leading !== null || $check === null ? '' : 'Next we look at this: '.lcfirst($check->title()).'.';
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
