<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\FactRecord;
use App\Models\Visit;
use Illuminate\Support\Collection;
use Metrum\Circuit\Control;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Work\Work;

/** How the controls of a circuit were left: each as it was found last, with what it was moved since. */
final readonly class ControlsLeft
{
    private const VISITS = 6;

    /** @var Collection<int, Visit> at which something was moved, newest first */
    private Collection $visits;

    public function __construct(Circuit $circuit, private Judge $judge)
    {
        $this->visits = Visit::query()
            ->where('circuit_id', $circuit->id)
            ->whereExists(
                FactRecord::query()->whereColumn('visit_id', 'visits.id')->where('kind', FactKind::Move->value),
            )
            ->latest('opened_at')
            ->limit(self::VISITS)
            ->get()
            ->each(static fn (Visit $visit) => $visit->setRelation('circuit', $circuit));
    }

    /** @return list<array{control: Control, subject: string, found: string, moved: float, at: \DateTimeImmutable}> */
    public function all(): array
    {
        $left = [];
        foreach ($this->visits->reverse() as $visit) {
            foreach ($visit->log()->history(FactKind::Move) as $fact) {
                $control = Control::from($fact->content->key);
                if (! $control->hasPosition()) {
                    continue;
                }
                $name = $fact->content->key.' '.$fact->content->subject;
                $found = $fact->content->text(PlantMoved::AS_FOUND);
                $before = $left[$name] ?? null;
                // Found anew it is counted on from there; a control that is set stands where it was set.
                $since = $found === '' && $control->isStep() ? $before['moved'] ?? 0.0 : 0.0;
                $left[$name] = [
                    'control' => $control,
                    'subject' => $fact->content->subject,
                    'found' => $found === '' ? $before['found'] ?? '' : $found,
                    'moved' => $since + ($fact->content->value ?? 0.0),
                    'at' => $fact->takenAt,
                ];
            }
        }

        return array_values($left);
    }

    /** The work of the visit at which something was moved last, which knows the earlier ones; null: there is none. */
    public function work(): ?Work
    {
        $latest = $this->visits->first();

        return $latest === null ? null : $this->judge->of($latest, 0)->work;
    }
}
