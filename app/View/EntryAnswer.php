<?php

namespace App\View;

use Metrum\Diagnosis\Snapshot;
use Metrum\Knowledge\Station;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Region;

/** The answer to what was entered: each part of the page that it made stale. */
final readonly class EntryAnswer
{
    /** What is left open or dangerous, what becomes of goods, and what limits the work say nothing of the system. */
    private const NO_EVIDENCE = [FactKind::Touched, FactKind::Restored, FactKind::Goods, FactKind::Site];

    /** @var list<EntryControl> controls of the page that changed with it */
    public array $touched;

    /** @var list<Region> */
    private array $stale;

    /** @var list<string> keys whose hints are within their cells already */
    private array $keys;

    private bool $isStateStale;

    /** @param  list<Fact>  $facts  that were kept, or taken back */
    public function __construct(public VisitPage $page, private array $facts, private ?Snapshot $before)
    {
        $touched = [];
        $stale = [];
        $ofState = false;
        foreach ($facts as $fact) {
            array_push($stale, ...$fact->rule()->stale($fact->content));
            if ($fact->kind === FactKind::State) {
                $ofState = true;
            } elseif ($page->controls->shows($fact->kind, $fact->content->key)) {
                $touched[] = new EntryControl($fact->kind, $fact->content->key);
            }
        }
        $this->touched = $touched;
        $this->stale = $stale;
        $this->isStateStale = $ofState;
        $this->keys = array_map(static fn (Fact $fact): string => $fact->content->key, $facts);
    }

    /** What this entry changed, in one line; null where it changed nothing that is weighed. */
    public function changed(): ?string
    {
        $fact = $this->facts[array_key_last($this->facts)] ?? null;

        $isEvidence = ! in_array($fact?->kind, self::NO_EVIDENCE, true);

        return $fact === null || $this->before === null || $this->page->verdict->blank || ! $isEvidence
            ? null
            : (new LastChange($this->before, $this->page->verdict, $fact))->line($this->page->explain);
    }

    public function isStale(Region $region): bool
    {
        return in_array($region, $this->stale, true);
    }

    /** The state stands in the head of every station. */
    public function isStateStale(): bool
    {
        return $this->isStateStale;
    }

    /** What a station shows follows from all that is known; the gauges' many cells are sent one by one. */
    public function isStageStale(): bool
    {
        return $this->page->station !== Station::Gauges || $this->page->openCard() !== null;
    }

    public function isCourseStale(): bool
    {
        return $this->isStale(Region::Course);
    }

    /** What would change if it were done, where the page asks it. */
    public function whatIf(): ?WhatIfPage
    {
        return $this->page->station === Station::Verdict
            ? WhatIfPage::of($this->page->judged, $this->page->units)
            : null;
    }

    /** @return list<Cell> whose hints are put to their place */
    public function hinted(): array
    {
        if (! $this->isStale(Region::Hints)) {
            return [];
        }

        return array_values(
            array_filter(
                [...$this->page->controls->cells(), ...$this->page->controls->moreCells()],
                fn (Cell $cell): bool => ! in_array($cell->reading->value, $this->keys, true),
            ),
        );
    }
}
