<?php

namespace App\Records;

use App\Models\FollowUp;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Support\Carbon;
use Metrum\Knowledge\Control;
use Metrum\Language\Heading;
use Metrum\Log\Fact;
use Metrum\Work\Desk\Proofs;

/** What only time proves is come back for: noted when a visit is closed that has no date for it. */
final readonly class SecondLook
{
    private const DAYS = 2;

    public function __construct(private Visit $visit, private User $user)
    {
    }

    /** Once: a visit that is opened and closed again has its follow-up already. */
    public function note(): void
    {
        $moved = Proofs::slow($this->visit->log());
        if ($moved === [] || $this->visit->followUps()->exists()) {
            return;
        }
        $labels = array_unique(array_map(
            static fn (Fact $one): string => Heading::within(Control::from($one->content->key)->label()),
            $moved,
        ));
        $what = mb_substr('Re-check: '.implode(', ', $labels).' changed', 0, FollowUp::LONGEST);
        FollowUp::note(
            $this->visit,
            $this->user,
            Carbon::today()->addDays(self::DAYS),
            $what,
            Recorder::counted($moved[0]->id, 5),
            ['why' => 'shows its effect only over days', 'condition' => 'after two defrosts or a day'],
        );
    }
}
