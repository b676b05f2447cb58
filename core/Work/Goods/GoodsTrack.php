<?php

declare(strict_types=1);

namespace Metrum\Work\Goods;

use Metrum\Knowledge\Goods;
use Metrum\Knowledge\GoodsEvent;
use Metrum\Knowledge\Reading;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\TimeSaid;
use Metrum\Log\Log;

/**
 * The temperatures of goods in a box as they were read at a visit, and what became of them. Where no product was read,
 * the air of the box stands for it: goods follow it later.
 */
final readonly class GoodsTrack
{
    /**
     * @param  list<array{float, float}>  $points  s since 1970, and K; in order
     * @param  bool  $isProduct  read between packages; false: box air
     * @param  list<Goods>  $kept  that stand there
     * @param  ?float  $lastGood  s since 1970; null where nobody knows
     * @param  ?float  $ended  s since 1970, when they were moved or discarded; null: they stand there
     * @param  bool  $isDecided  somebody decided what becomes of them
     * @param  float  $now  s since 1970
     */
    private function __construct(
        public array $points,
        public bool $isProduct,
        public array $kept,
        public ?float $lastGood,
        public ?float $ended,
        public bool $isDecided,
        public float $now,
    ) {
    }

    /** @param  Log  $log  of the circuit that cools the box */
    public static function of(Log $log, \DateTimeImmutable $now): self
    {
        $product = self::points($log, Reading::ProductTemperature);
        $kept = [];
        $lastGood = $ended = null;
        $isDecided = false;
        foreach ($log->standing(FactKind::Goods) as $fact) {
            $goods = Goods::tryFrom($fact->content->key);
            $event = GoodsEvent::tryFrom($fact->content->key);
            $kept = $goods === null ? $kept : [...$kept, $goods];
            $lastGood = $event === GoodsEvent::LastGood ? self::time($fact) : $lastGood;
            if ($event !== null) {
                $isDecided = $isDecided || $event->decides();
                $ended = $event->endsIt() ? self::seconds($fact->takenAt) : $ended;
                $ended = $event === GoodsEvent::BroughtBack ? null : $ended;
            }
        }

        return new self(
            $product === [] ? self::points($log, Reading::BoxTemperature) : $product,
            $product !== [],
            $kept,
            $lastGood,
            $ended,
            $isDecided,
            self::seconds($now),
        );
    }

    private static function time(Fact $fact): ?float
    {
        $at = TimeSaid::kept($fact->content)?->before($fact->takenAt);

        return $at === null ? null : self::seconds($at);
    }

    private static function seconds(\DateTimeInterface $at): float
    {
        return (float) $at->getTimestamp();
    }

    /** @return list<array{float, float}> s since 1970 and K, in order of the time at which each was seen */
    private static function points(Log $log, Reading $reading): array
    {
        $points = [];
        foreach ($log->history(FactKind::Reading) as $fact) {
            if ($fact->content->key === $reading->value && $fact->content->value !== null) {
                $points[] = [self::seconds($fact->seenAt()), $fact->content->value];
            }
        }
        usort($points, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return $points;
    }

    /** Until when they stand there. */
    public function until(): float
    {
        return $this->ended ?? $this->now;
    }
}
