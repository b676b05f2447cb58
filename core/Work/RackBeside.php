<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Diagnosis\JudgedPlant;
use Metrum\Findings\Chapter;
use Metrum\Findings\Chapters;
use Metrum\Findings\RackLog;
use Metrum\Log\Fact;
use Metrum\Log\WholeRack;
use Metrum\Log\Window;

/** What is held of the whole plant while one of its circuits is walked; of a plain unit nothing. */
final readonly class RackBeside
{
    public function __construct(private Window $window, private RackVerdicts $racks)
    {
    }

    /** As it stood at the end of a chapter of the circuit, or now. */
    public function at(Chapter $chapter, Chapters $chapters): ?JudgedPlant
    {
        $rack = $this->window->rack;
        $next = $chapters->all[$chapter->number] ?? null;

        return $rack === null ? null : $this->of($next?->began === null ? $rack : $rack->before($next->began));
    }

    /** As it stood once a fact was told; null: before anything was. */
    public function after(?Fact $fact): ?JudgedPlant
    {
        $rack = $this->window->rack;

        return $rack === null || $fact === null ? null : $this->of($rack->upTo($fact));
    }

    private function of(WholeRack $rack): ?JudgedPlant
    {
        return $this->racks->of(RackLog::findings($rack->judged()))?->of($this->window->circuit);
    }
}
