<?php

namespace App\View;

use App\Models\FollowUp;
use App\Models\Visit;
use Illuminate\Database\Eloquent\Collection;
use Metrum\Diagnosis\Snapshot;
use Metrum\Findings\Trips;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\NoteWritten;

/** What was found the last time at a plant, and what was left open: where a new visit begins (W-05). */
final readonly class LastVisit
{
    /**
     * @param  ?Snapshot  $verdict  null where it was never worked
     * @param  ?string  $left  the summary for the owner, in the words it was left with; null where none were written
     * @param  list<string>  $trips  what had stopped the compressor then, reset or not
     * @param  Collection<int, FollowUp>  $open  what was promised and is not done
     */
    private function __construct(
        public Visit $visit,
        public ?Snapshot $verdict,
        public ?string $left,
        public array $trips,
        public Collection $open,
    ) {
    }

    /** Null where this is the first visit of its plant. */
    public static function before(Visit $visit): ?self
    {
        $last = Visit::query()
            ->where('circuit_id', $visit->circuit_id)
            ->where('id', '!=', $visit->id)
            ->where('opened_at', '<=', $visit->opened_at)
            ->with('verdict', 'user')
            ->latest('opened_at')
            ->first();
        if ($last === null) {
            return null;
        }
        $log = $last->log();
        $trips = array_map(
            static fn (array $one): string => 'compressor '.lcfirst($one[0]->label()).($one[2] ? ', reset' : ''),
            Trips::of($log)->all,
        );
        $summary = $log->fact(FactKind::Note, NoteWritten::SUMMARY)?->content->text('text');
        $open = FollowUp::query()
            ->where('circuit_id', $visit->circuit_id)
            ->whereNull('done_at')
            ->orderBy('due_on')
            ->get();

        return new self($last, $last->verdict?->verdict(), $summary, $trips, $open);
    }
}
