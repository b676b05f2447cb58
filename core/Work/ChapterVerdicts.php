<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Chapter;
use Metrum\Findings\Findings;
use Metrum\Log\Window;
use Metrum\Twin\Expectation;
use Metrum\Twin\Twins;

/** What chapters say, and what the plant's one twin expects in them: each worked where it is first asked for. */
final class ChapterVerdicts
{
    /** @var array<int, Verdict> by number of the chapter */
    private array $verdicts = [];

    /** @var array<int, Expectation> by number of the chapter */
    private array $expectations = [];

    private readonly Diagnosis $diagnosis;

    public function __construct(
        private readonly Assessment $assessment,
        private readonly Twins $twins,
        private readonly RackBeside $rack,
    ) {
        $this->diagnosis = new Diagnosis($assessment->rules, $twins);
    }

    /**
     * Takes over what another has worked.
     *
     * @param  array<int, mixed>  $stands  by number of the chapters that are as they were
     */
    public function goOn(self $before, array $stands): void
    {
        $this->verdicts = array_intersect_key($before->verdicts, $stands);
        $this->expectations = array_intersect_key($before->expectations, $stands);
    }

    /** What was worked of a chapter that still goes on. @param  ?Chapter  $present  null: nothing */
    public function forgetLast(?Chapter $present): void
    {
        unset($this->verdicts[$present->number ?? 0]);
    }

    /** What a chapter says; as long as nothing was found in it, what the one before it says. */
    public function of(Account $account, ?Account $before): Verdict
    {
        $number = $account->chapter->number;
        if (isset($this->verdicts[$number])) {
            return $this->verdicts[$number];
        }
        $isOwn = $before === null || $account->chapter->wasLookedAt();

        // What stands before it was worked with its own: nothing is asked of the one before that.
        return $this->verdicts[$number] = $isOwn
            ? $this->weighed($account, 0)
            : $this->verdicts[$number - 1] ?? $this->weighed($before, 0);
    }

    public function keep(Account $account, Verdict $verdict): void
    {
        $this->verdicts[$account->chapter->number] = $verdict;
    }

    /** @param  int  $explained  suspects with what speaks for and against them */
    public function weighed(Account $account, int $explained): Verdict
    {
        return $this->judge($account)->of($account->evidence(), 0, $explained, $this->expectation($account));
    }

    /** @param  int  $checks  how many next ones */
    public function checked(Account $account, int $checks): Verdict
    {
        return $this->judge($account)->of(
            $account->evidence(),
            $checks,
            expectation: $this->expectation($account),
            together: $checks > 0,
        );
    }

    private function judge(Account $account): Diagnosis
    {
        return $this->diagnosis->within($this->rack->at($account->chapter, $this->assessment->chapters));
    }

    /** What the one twin of this plant expects; by the house rules alone where none can be built. */
    public function expectation(Account $account): Expectation
    {
        return $this->expectations[$account->chapter->number] ??= $this->expected($account->evidence());
    }

    private function expected(Findings $findings): Expectation
    {
        return $this->twins->expectation($findings, $this->assessment->rules, $this->assessment->good);
    }

    /** How the ranking of a window came about. */
    public function path(Window $window): PathOfVerdict
    {
        return new PathOfVerdict($window, $this->diagnosis, $this->expected(...), $this->rack);
    }
}
