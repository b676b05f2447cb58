<?php

namespace App\View;

use App\Models\FollowUp;
use App\Models\Visit;
use App\Records\JudgedVisit;
use Illuminate\Support\Collection;
use Metrum\Card\Card;
use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\Suspect;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Question;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\LeftOpen;
use Metrum\Quantity\Units;

/** A visit for the colleague who goes on with it, on one page: made at any time, also while it is open. */
final readonly class Handover
{
    /** What was tried, latest of all that was. */
    private const TRIED = 14;

    private const SUSPECTS = 3;

    public Visit $visit;

    public ReportBasis $basis;

    private Explain $explain;

    public function __construct(private JudgedVisit $judged, Units $units)
    {
        $this->visit = $judged->visit->loadMissing('circuit.site', 'user', 'followUps');
        $this->basis = new ReportBasis($this->visit, $judged->findings->circuit, $units);
        $this->explain = new Explain($units);
    }

    public function asked(): string
    {
        // Of the log: what is judged after a change knows no complaint any more.
        $words = [];
        foreach ($this->judged->log->standing(FactKind::Complaint) as $fact) {
            $complaint = $fact->content->isCleared() ? null : Complaint::tryFrom($fact->content->key);
            $words = $complaint === null ? $words : [...$words, lcfirst($complaint->label())];
        }

        return $words === [] ? 'No complaint entered.' : ucfirst(implode(', ', $words)).'.';
    }

    /** @return list<string> "Low refrigerant charge 92 %" */
    public function suspects(): array
    {
        return $this->judged->verdict->blank
            ? []
            : array_map(
                static fn (Suspect $one): string => $one->entry()->name.' '.Explain::percent($one->probability),
                $this->judged->verdict->ranked(self::SUSPECTS),
            );
    }

    /** @return list<string> */
    public function confirmed(): array
    {
        return array_map(static fn (Fault $one): string => $one->label(), $this->judged->findings->confirmed);
    }

    /** @return list<string> */
    public function excluded(): array
    {
        return array_map(static fn (Fault $one): string => $one->label(), $this->judged->findings->ruledOut);
    }

    /** @return list<string> tests, changes and ends of procedures with their time, in order */
    public function tried(): array
    {
        $log = $this->judged->log;
        $facts = [...$log->standing(FactKind::Test), ...$log->history(FactKind::Move)];
        usort($facts, static fn (Fact $a, Fact $b): int => $a->takenAt <=> $b->takenAt);

        return array_map(
            fn (Fact $one): string => $one->takenAt->format('H:i').' '.$this->explain->fact($one),
            array_slice($facts, -self::TRIED),
        );
    }

    /** @return list<string> what is touched and not restored yet */
    public function touched(): array
    {
        return array_map(
            static fn (array $one): string => self::part(ucfirst(LeftOpen::said($one[0])), $one[1]),
            $this->judged->desk->leaving()->heldOpen(),
        );
    }

    private static function part(string $what, PartId $part): string
    {
        return $part->name() === '' ? $what : "$what of {$part->name()}";
    }

    /** @return list<string> procedures that were begun and have no end */
    public function begun(): array
    {
        return array_map(
            static fn (array $one): string => self::part($one[0]->name, $one[1]),
            $this->judged->desk->cards()->open(),
        );
    }

    public function weak(): string
    {
        return trim((string) $this->visit->circuit->notes);
    }

    public function next(): ?Check
    {
        return $this->judged->verdict->nextCheck();
    }

    /** @return list<string> tools of the next check's procedure, and what was promised to be brought */
    public function bring(): array
    {
        $check = $this->next();
        $card = $check?->key instanceof Question ? $this->judged->desk->cards()->for($check->key) : null;
        $tools = $card instanceof Card ? $card->tools : [];
        $promised = $this->promised()->map(static fn (FollowUp $one): string => (string) $one->bring)->all();

        return array_values(array_unique(array_filter([...$tools, ...$promised])));
    }

    /** @return Collection<int, FollowUp> not done yet */
    public function promised(): Collection
    {
        return $this->visit->followUps->whereNull('done_at')->values()->toBase();
    }
}
