<?php

namespace App\Records;

use App\Models\VerdictSnapshot;
use App\Models\Visit;
use Illuminate\Support\Carbon;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\Snapshot;
use Metrum\Diagnosis\Verdict;
use Metrum\Plant\Twins;
use Metrum\Work\Work;

/** Works out what a visit says, and keeps what it came to. */
final readonly class Judge
{
    private const CHECKS = 4;

    public function __construct(
        private Twins $twins,
        private Edition $edition,
        private VerdictShelf $shelf,
    ) {
    }

    /** What was done at a visit so far; what it says of the plant is worked only where it is asked for. */
    public function work(Visit $visit): Work
    {
        $visit->loadMissing('circuit');
        $log = $visit->log();

        return new Work(
            $log,
            $visit->chapters($log),
            $visit->rules(),
            $this->twins,
            fn (): array => (new EarlierMoves($this->twins))->of($visit),
            static fn (): ?float => (new Stock())->bookBefore($visit),
            $visit->circuit->goodFindings($visit),
        );
    }

    /** @param  int  $checks  how many next checks are wanted */
    public function of(Visit $visit, int $checks = self::CHECKS): Judged
    {
        $work = $this->work($visit);
        $log = $work->log;
        $rules = $work->rules;
        $findings = $work->judged()->evidence();
        $expectation = $this->twins->expectation($findings, $rules, $work->good);
        $weigh = fn (): Verdict => (new Diagnosis($rules, $this->twins))->of(
            $findings,
            $checks,
            expectation: $expectation,
            together: $checks > 0,
        );
        $verdict = $checks === self::CHECKS
            ? $this->shelf->of($visit, $findings, $rules, $work->good, $weigh)
            : $weigh();

        return new Judged(
            $visit,
            $log,
            $findings,
            $rules,
            $expectation,
            $verdict,
            $work->knowing($verdict),
        );
    }

    /** Keeps what a visit came to, so that lists need not work it anew. */
    public function keep(Judged $judged): Snapshot
    {
        $snapshot = Snapshot::of($judged->verdict, $judged->findings);
        VerdictSnapshot::query()->upsert(
            [
                [
                    'visit_id' => $judged->visit->id,
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
        $judged = $this->of($visit, checks: 0);

        return Snapshot::of($judged->verdict, $judged->findings);
    }

    /** Works a visit anew with the weights of today. */
    public function again(Visit $visit): Snapshot
    {
        return $this->keep($this->of($visit, checks: 0));
    }

    /** Whether what is kept of it was worked with other weights or another twin than today's. */
    public function isOld(Visit $visit): bool
    {
        return $visit->verdict !== null && $visit->verdict->edition !== $this->edition->verdicts();
    }
}
