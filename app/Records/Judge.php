<?php

namespace App\Records;

use App\Models\VerdictSnapshot;
use App\Models\Visit;
use Illuminate\Support\Carbon;
use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Diagnosis\Snapshot;
use Metrum\Diagnosis\Verdict;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Log\Window;
use Metrum\Twin\Twins;
use Metrum\Work\Assessment;
use Metrum\Work\RackVerdicts;

/** Works out what a visit says, and keeps what it came to. */
final class Judge
{
    private const CHECKS = 4;

    /** @var array<string, Assessment> the last one that was worked, by its visit */
    private array $last = [];

    public function __construct(
        private readonly Twins $twins,
        private readonly Edition $edition,
        private readonly VerdictShelf $shelf,
        private readonly Folds $folds,
        private readonly RackVerdicts $racks,
    ) {
    }

    /** What was done at a visit so far; what it says of the plant is worked only where it is asked for. */
    public function assessment(Visit $visit): Assessment
    {
        $visit->loadMissing('circuit');
        $window = $visit->window();
        $last = $this->last[$visit->getRouteKey()] ?? null;
        if ($last?->log === $window->log) {
            return $last;
        }
        $now = $last === null ? $this->begun($visit, $window) : $last->after($window);
        // One visit is worked in a request, or one after another.
        $this->last = [$visit->getRouteKey() => $now];

        return $now;
    }

    private function begun(Visit $visit, Window $window): Assessment
    {
        return new Assessment(
            $window,
            $visit->rules(),
            $this->twins,
            fn (): array => $this->earlier($visit),
            static fn (): ?float => (new Stock())->bookBefore($visit),
            $this->folds->good($visit->circuit, $visit),
            $this->racks,
        );
    }

    /** @return list<array{Control, PartId, list<list<array{float, float}>>}> what was moved at earlier visits */
    private function earlier(Visit $visit): array
    {
        $points = [];
        foreach ($this->folds->moved($visit->circuit_id, $visit->opened_at) as $fold) {
            array_push($points, ...$fold->points);
        }

        return $points;
    }

    /** @param  int  $checks  how many next checks are wanted */
    public function of(Visit $visit, int $checks = self::CHECKS): JudgedVisit
    {
        $assessment = $this->assessment($visit);
        $weigh = static fn (): Verdict => $assessment->checked($checks);
        $verdict = $checks === self::CHECKS
            ? $this->shelf->of($visit, self::followsFrom($visit, $assessment), $weigh)
            : $weigh();

        return new JudgedVisit($visit, $assessment->knowing($verdict), $verdict);
    }

    /** @return list<mixed> what a verdict follows from */
    private static function followsFrom(Visit $visit, Assessment $assessment): array
    {
        return [
            $assessment->judged()->evidence(),
            $assessment->rules,
            $assessment->good,
            $visit->isOfRack() ? $visit->rackJudged() : null,
        ];
    }

    /** What is held of all of a plant; null of one circuit, and where no twin of it can be built. */
    public function rack(Visit $visit): ?RackVerdict
    {
        return $visit->isOfRack() ? $this->racks->of($visit->rackJudged()) : null;
    }

    /** Keeps what a visit came to, so that lists need not work it anew. */
    public function keep(JudgedVisit $judged): Snapshot
    {
        return $this->put($judged->visit, $this->cameTo($judged));
    }

    /** The same of a plant of several circuits. */
    public function keepRack(Visit $visit): void
    {
        $rack = $this->rack($visit);
        if ($rack !== null) {
            $this->put($visit, $rack->snapshot());
        }
    }

    private function put(Visit $visit, Snapshot $snapshot): Snapshot
    {
        VerdictSnapshot::query()->upsert(
            [
                [
                    'visit_id' => $visit->id,
                    'edition' => $this->edition->verdicts(),
                    'needs_a_look' => $snapshot->needsALook(),
                    'probability' => $snapshot->probability() ?? 0.0,
                    'snapshot' => json_encode($snapshot->toArray(), JSON_THROW_ON_ERROR),
                    'worked_at' => Carbon::now()->format('Y-m-d H:i:s'),
                ],
            ],
            ['visit_id'],
        );

        return $snapshot;
    }

    /** What a visit came to: as it was kept, else worked now. Reading writes nothing. */
    public function snapshot(Visit $visit): Snapshot
    {
        return $visit->verdict?->verdict() ?? $this->worked($visit);
    }

    private function worked(Visit $visit): Snapshot
    {
        return $this->cameTo($this->of($visit, checks: 0));
    }

    /** Of a plant of several circuits as a whole, whichever is walked. */
    private function cameTo(JudgedVisit $judged): Snapshot
    {
        return $this->rack($judged->visit)?->snapshot() ?? Snapshot::of($judged->verdict, $judged->findings);
    }

    /** Works a visit anew with the weights of today. */
    public function again(Visit $visit): Snapshot
    {
        $judged = $this->of($visit, checks: 0);
        $this->folds->keep($visit, $judged->assessment);

        return $this->keep($judged);
    }

    /** Whether what is kept of it was worked with other weights or another twin than today's. */
    public function isOld(Visit $visit): bool
    {
        return $visit->verdict !== null && $visit->verdict->edition !== $this->edition->verdicts();
    }
}
