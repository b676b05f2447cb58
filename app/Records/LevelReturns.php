<?php

namespace App\Records;

use App\Models\FollowUp;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use Metrum\Diagnosis\Rack\RackCharge;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\Reading;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Quantity\Units;
use Metrum\Work\Movements;

/** A rack that was topped up is come back to within the house rule's days, again and again until its level stays. */
final readonly class LevelReturns
{
    private const READ = 'Read the receiver level again';

    public function __construct(
        private Visit $visit,
        private User $user,
        private Judge $judge,
        private Units $units,
    ) {
    }

    /** @param  list<Fact>  $facts  that were kept just now */
    public function note(array $facts): void
    {
        if (! $this->visit->isOfRack()) {
            return;
        }
        foreach ($facts as $fact) {
            $isCharge = $fact->kind === FactKind::Move && $fact->content->key === Control::Charge->value;
            if ($isCharge && (float) $fact->content->value > 0.0) {
                $this->toppedUp($fact);
            } elseif ($fact->kind->asked($fact->content->key) === Reading::ReceiverLevel) {
                $this->cameBack($fact);
            }
        }
    }

    /** One return for all that went in at a visit. */
    private function toppedUp(Fact $charge): void
    {
        $added = $this->units->mass(Movements::of($this->visit->log())->added);
        $what = self::READ.": $added added";
        $last = $this->returns()->where('visit_id', $this->visit->id)->whereNull('done_at')->first();
        if ($last !== null) {
            $last->update(['what' => $what]);

            return;
        }
        FollowUp::note($this->visit, $this->user, $this->due($charge), $what, Recorder::counted($charge->id, 3));
    }

    /** What was come back for is done; where the level is low again somebody comes back once more. */
    private function cameBack(Fact $level): void
    {
        $earlier = $this->returns()->where('visit_id', '!=', $this->visit->id)->whereNull('done_at');
        if (! (clone $earlier)->exists()) {
            return;
        }
        $earlier->update(['done_at' => $level->takenAt]);
        $rack = $this->judge->rack($this->visit);
        if ($rack !== null && RackCharge::of($rack->examined)?->isShort() === true) {
            $what = self::READ.': it has fallen since the last addition';
            FollowUp::note($this->visit, $this->user, $this->due($level), $what, Recorder::counted($level->id, 4));
        }
    }

    private function due(Fact $fact): Carbon
    {
        $days = (int) $this->visit->rules()->band(HouseRule::LevelCheck)->low;

        return Carbon::parse($fact->takenAt)->addDays($days)->startOfDay();
    }

    /** @return Builder<FollowUp> of this plant */
    private function returns(): Builder
    {
        return FollowUp::query()
            ->whereIn('circuit_id', $this->visit->circuit->plant->circuits()->pluck('id'))
            ->where('what', 'like', self::READ.'%');
    }
}
