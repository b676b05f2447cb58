<?php

namespace App\View\Site;

use App\Models\FollowUp;
use App\Models\Visit;
use App\Records\JudgedVisit;
use App\View\CardList;
use Metrum\Knowledge\SiteLimit;
use Metrum\Language\Sentence;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\TimeSaid;
use Metrum\Log\Log;
use Metrum\Quantity\Magnitude;
use Metrum\Quantity\Units;
use Metrum\Work\Site\SitePlan;
use Metrum\Work\Site\SiteTask;
use Metrum\Work\Site\SiteTime;

/** The time at a site: what limits it, what fits into it, and what is better done another day. */
final readonly class SiteFold
{
    /** Weeks until what does not fit is come back for. */
    private const WEEKS = 1;

    public SitePlan $plan;

    /** @var list<array{task: SiteTask, why: string, prepare: string}> not promised yet */
    public array $later;

    private Visit $visit;

    private Log $log;

    public function __construct(JudgedVisit $judged, private Units $units)
    {
        $this->visit = $judged->visit->loadMissing('followUps');
        $this->log = $judged->assessment->window->rack->log ?? $judged->log;
        $this->plan = SitePlan::of($judged->desk, SiteTime::of($this->log, now()->toDateTimeImmutable()));
        $this->later = $this->later();
    }

    /** @return list<array{task: SiteTask, why: string, prepare: string}> */
    private function later(): array
    {
        $later = [];
        foreach ($this->plan->later as [$task, $obstacle, $left]) {
            if (! $this->isPromised($task)) {
                $later[] = [
                    'task' => $task,
                    'why' => $obstacle->why($task->seconds, $left)->in($this->units),
                    'prepare' => self::told($obstacle->prepare(), $this->units),
                ];
            }
        }

        return $later;
    }

    private static function told(?Sentence $said, Units $units): string
    {
        return $said?->in($units) ?? '';
    }

    private function isPromised(SiteTask $task): bool
    {
        return $this->visit->followUps->contains(
            static fn (FollowUp $one): bool => str_contains($one->what, $task->name),
        );
    }

    /** "45 min left: 3 fit, 2 do not" */
    public function summary(): string
    {
        $left = $this->plan->time->until(SiteLimit::LeaveBy);
        $said = [
            $left === null ? '' : Magnitude::minutesLeft($left)->in($this->units).' left',
            $this->plan->time->isKnown() ? count($this->plan->fits).' fit' : '',
            $this->later === [] ? '' : count($this->later).' do not',
        ];

        return $this->plan->time->isKnown() ? implode(', ', array_filter($said)) : 'not entered';
    }

    /** As it was typed; empty where it was not. */
    public function typed(SiteLimit $limit): string
    {
        return $this->log->fact(FactKind::Site, $limit->value)?->content->text(TimeSaid::AT) ?? '';
    }

    /** @return list<SiteLimit> */
    public static function times(): array
    {
        return array_values(array_filter(SiteLimit::cases(), static fn (SiteLimit $one): bool => $one->isTime()));
    }

    /** @return list<array{SiteLimit, bool}> what cannot be, and whether that was said */
    public function shut(): array
    {
        $shut = array_filter(SiteLimit::cases(), static fn (SiteLimit $one): bool => ! $one->isTime());

        return array_map(
            fn (SiteLimit $one): array => [$one, $this->plan->time->isShut($one)],
            array_values($shut),
        );
    }

    /** "done by 14:35" */
    public function doneBy(float $seconds): string
    {
        return 'done by '.now()->addSeconds((int) $seconds)->format('H:i');
    }

    public function minutes(SiteTask $task): string
    {
        return Magnitude::minutes($task->seconds)->in($this->units);
    }

    public function address(SiteTask $task): string
    {
        return $task->card === null
            ? route('visits.show', [$this->visit, $task->station->value])
            : CardList::link($this->visit, $task->card);
    }

    /**
     * What is promised with one tap: of one of them, or of all that do not fit.
     *
     * @param  list<array{task: SiteTask, why: string, prepare: string}>  $tasks
     * @return array<string, string> fields of a follow-up
     */
    public function promise(array $tasks): array
    {
        $named = array_map(static fn (array $one): string => $one['task']->name, $tasks);
        $reasons = array_map(
            static fn (array $one): string => count($tasks) === 1
                ? $one['why']
                : $one['task']->name.': '.$one['why'],
            $tasks,
        );
        $tools = array_merge(...array_map(static fn (array $one): array => $one['task']->tools, $tasks));

        return array_map(static fn (string $one): string => mb_substr($one, 0, FollowUp::LONGEST), [
            'what' => implode('; ', $named),
            'due_on' => now()->addWeeks(self::WEEKS)->format('Y-m-d'),
            'why' => implode('; ', $reasons),
            'prepare' => implode('; ', array_unique(array_filter(array_column($tasks, 'prepare')))),
            'bring' => implode('; ', array_unique($tools)),
        ]);
    }
}
