<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Knowledge\Control;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\Window;

/** The chapters of a visit, folded from its log. As long as nothing moves the plant there is one: as found. */
final readonly class Chapters
{
    private const LOOKS = [FactKind::Reading, FactKind::Observation, FactKind::Test];

    /** @param  non-empty-list<Chapter>  $all */
    private function __construct(public array $all)
    {
    }

    public static function of(Window $window): self
    {
        $telling = new Telling($window->asOpened, $window->rack !== null);
        $moments = new Moments($window->log);
        $began = null;
        $chapters = $found = [];
        $close = static function () use (&$chapters, &$began, &$found, $telling, $moments, $window): Chapter {
            return new Chapter(
                count($chapters) + 1,
                $began,
                $telling->findings($window->id, $window->takenAt, $moments),
                $telling->ofParts(),
                $telling->stale(),
                $found,
                $telling->ofCircuit(),
            );
        };
        foreach ($window->log->happened() as $fact) {
            if ($fact->kind === FactKind::Move) {
                $chapters[] = $close();
                [$began, $found] = [$fact, self::stillFound($found, Control::from($fact->content->key))];
            } elseif (self::isLook($fact)) {
                $found[] = $fact;
            }
            $telling->hear($fact);
        }
        $chapters[] = $close();

        return new self($chapters);
    }

    /**
     * @param  list<Fact>  $found  in the chapter before
     * @return list<Fact> what stands after a move that changed hardly anything; nothing after any other
     */
    private static function stillFound(array $found, Control $control): array
    {
        $row = $control->row();

        return ! $row->leavesReadings
            ? []
            : array_values(array_filter(
                $found,
                static fn (Fact $one): bool => ! in_array($one->content->key, $row->changes, true),
            ));
    }

    private static function isLook(Fact $fact): bool
    {
        return in_array($fact->kind, self::LOOKS, true)
            ? ! $fact->content->isCleared()
            : $fact->kind === FactKind::Card && StepTaken::tells($fact->content);
    }

    /** The one that the plant is in now. */
    public function present(): Chapter
    {
        return $this->all[array_key_last($this->all)];
    }

    /**
     * Numbers of the first chapters that are in a longer log as they are in this one.
     *
     * @param  ?list<Fact>  $added  what was told since; null where something before it is another too
     * @return list<int>
     */
    public function untouchedIn(self $longer, ?array $added): array
    {
        if ($added === null) {
            return [];
        }
        // A chapter is at its end where the next move is told: only then nothing that was told belongs to it.
        $isEnded = $added === [] || $added[0]->kind === FactKind::Move;
        $untouched = [];
        foreach (array_slice($this->all, 0, $isEnded ? null : -1) as $place => $chapter) {
            if (! $chapter->isAs($longer->all[$place])) {
                break;
            }
            $untouched[] = $chapter->number;
        }

        return $untouched;
    }

    /** The one that a move began; null where there is none. */
    public function begunBy(Fact $move): ?Chapter
    {
        foreach ($this->all as $chapter) {
            if ($chapter->began?->id === $move->id) {
                return $chapter;
            }
        }

        return null;
    }
}
