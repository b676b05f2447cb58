<?php

declare(strict_types=1);

namespace Metrum\Work\Goods;

use Metrum\Findings\Mark;
use Metrum\Knowledge\Band;
use Metrum\Knowledge\Goods;
use Metrum\Language\Sentence;
use Metrum\Language\WorkReason;
use Metrum\Quantity\Format;
use Metrum\Quantity\Magnitude;

/** One kind of goods in a box: its limits, for how long it was out of them, and what follows by the house rules. */
final readonly class GoodsRow
{
    private const HOUR = 3600.0;

    /** s from which a time is told. */
    private const SHOWN = 180.0;

    /** @param  Band  $allowed  s above the limit: check from, usually discarded from */
    public function __construct(
        public Goods $goods,
        public Band $limit,
        public GoodsHours $hours,
        private Band $allowed,
    ) {
    }

    public function mark(): Mark
    {
        return match (true) {
            $this->hours->least >= $this->allowed->high => Mark::Act,
            $this->isFrozen(), $this->hours->most >= $this->allowed->low, $this->hours->isAbove => Mark::Look,
            default => Mark::Fine,
        };
    }

    /** Chilled goods that were read below their lower limit. */
    public function isFrozen(): bool
    {
        return $this->goods->canFreeze() && $this->hours->wasBelow;
    }

    /** @return list<Sentence> for how long, and what follows */
    public function said(): array
    {
        if ($this->hours->highest === null) {
            return [Sentence::of(WorkReason::GoodsNotRead)];
        }

        return array_values(array_filter([
            $this->hours->most >= self::SHOWN ? $this->over() : null,
            $this->hours->isSinceUnknown ? Sentence::of(WorkReason::GoodsSinceUnknown) : null,
            $this->isFrozen() ? Sentence::of(
                WorkReason::GoodsBelow,
                lowest: Magnitude::temperature((float) $this->hours->lowest),
                limit: Magnitude::temperature($this->limit->low),
            ) : null,
            $this->follows(),
        ]));
    }

    private function over(): Sentence
    {
        return Sentence::of(
            WorkReason::GoodsOver,
            hours: $this->span(),
            limit: Magnitude::temperature($this->limit->high),
        );
    }

    /** "2.1 to 3.5 h", "2.1 h" where it is known exactly */
    private function span(): string
    {
        [$least, $most] = array_map(
            static fn (float $one): string => Format::number($one / self::HOUR, 1),
            [$this->hours->least, $this->hours->most],
        );

        return $least === $most ? "$most h" : "$least to $most h";
    }

    private function follows(): Sentence
    {
        return Sentence::of(match (true) {
            $this->hours->least >= $this->allowed->high => WorkReason::GoodsDiscard,
            $this->hours->most >= $this->allowed->low => WorkReason::GoodsCheck,
            $this->isFrozen() => WorkReason::GoodsFrozen,
            $this->hours->isAbove => WorkReason::GoodsCool,
            default => WorkReason::GoodsWithin,
        });
    }
}
