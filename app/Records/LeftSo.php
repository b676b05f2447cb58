<?php

namespace App\Records;

use App\Models\FollowUp;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Support\Carbon;
use Metrum\Language\Sentence;
use Metrum\Language\WorkReason;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\LeftOpen;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Quantity\Units;
use Metrum\Work\Leaks\SearchLog;
use Metrum\Work\Movements;

/** What was touched and is left so with a reason is come back for: a follow-up of its own (T-13). */
final readonly class LeftSo
{
    private const WEEKS = 2;

    /** What the card "Confirm and repair a leak" comes to where it is tight again. */
    private const MENDED = 'mended';

    private Units $units;

    public function __construct(private Visit $visit, private User $user)
    {
        $this->units = $user->units();
    }

    /** @param  list<Fact>  $facts  that were kept just now */
    public function note(array $facts): void
    {
        foreach ($facts as $fact) {
            $this->noteCharge($fact);
            $this->noteMended($fact);
            $this->noteSearch($fact);
            $reason = $fact->content->text('reason');
            if ($fact->kind === FactKind::Restored && $reason !== '') {
                $what = ucfirst(LeftOpen::said($fact->content->key))." left as is because $reason";
                $due = Carbon::parse($fact->takenAt)->addWeeks(self::WEEKS)->startOfDay();
                $id = Recorder::counted($fact->id, 1);
                FollowUp::note($this->visit, $this->user, $due, mb_substr($what, 0, FollowUp::LONGEST), $id);
            }
        }
    }

    /** A leak search that found nothing is come back for (W-03). */
    private function noteSearch(Fact $fact): void
    {
        $outcome = $fact->kind === FactKind::Card && StepTaken::card($fact->content->key)?->key === SearchLog::CARD
            ? StepTaken::outcome($fact->content)
            : null;
        if ($outcome === null || $outcome->returns === '') {
            return;
        }
        $due = Carbon::parse($fact->takenAt)->addWeeks(self::WEEKS)->startOfDay();
        $why = mb_substr($this->units->retell(StepTaken::said($fact->content)), 0, FollowUp::LONGEST);
        $said = ['why' => $why, 'prepare' => Sentence::of(WorkReason::PrepareStop)->in($this->units)];
        FollowUp::note($this->visit, $this->user, $due, $outcome->returns, Recorder::counted($fact->id, 4), $said);
    }

    /** A leak that was found, mended and tight needs no search any more. */
    private function noteMended(Fact $fact): void
    {
        if ($fact->kind !== FactKind::Card || StepTaken::outcome($fact->content)?->key !== self::MENDED) {
            return;
        }
        $added = Movements::beforeTheLeakWasFound($this->visit->log())[0] ?? null;
        if ($added !== null) {
            FollowUp::query()
                ->whereKey(Recorder::counted($added->id, 2))
                ->whereNull('done_at')
                ->update(['done_at' => $fact->takenAt]);
        }
    }

    /** Refrigerant that was added before its leak was found: somebody comes back once and searches (N-11). */
    private function noteCharge(Fact $fact): void
    {
        $added = $fact->kind === FactKind::Move ? Movements::beforeTheLeakWasFound($this->visit->log()) : [];
        $reason = $fact->content->text(PlantMoved::OVERRULED);
        if ($added === [] || $added[0]->id !== $fact->id || $reason === '') {
            return;
        }
        $what = "Search for the leak: refrigerant was added first because $reason";
        $due = Carbon::parse($fact->takenAt)->addWeeks(self::WEEKS)->startOfDay();
        $id = Recorder::counted($fact->id, 2);
        FollowUp::note($this->visit, $this->user, $due, mb_substr($what, 0, FollowUp::LONGEST), $id);
    }
}
