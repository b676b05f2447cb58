<?php

declare(strict_types=1);

namespace Metrum\Work\Cards;

use Metrum\Card\Card;
use Metrum\Card\Cards;
use Metrum\Installation\PartId;
use Metrum\Log\Fact;
use Metrum\Log\Log;

/** One defrost as it was watched: its events on the clock, and what its sensor read between them. */
final readonly class DefrostRun
{
    /** Its card, and the steps that are events, in their order. */
    public const CARD = 'defrost_run';

    public const BEGINS = 'begins';

    public const HEAT_OFF = 'heat_off';

    public const EVENTS = [self::BEGINS, self::HEAT_OFF, 'drip_over', 'refrigerant_on', 'fans_on', 'back'];

    private const SENSOR = 'sensor';

    private const LENGTH = 'length';

    private const DRIP = 'drip';

    /**
     * @param  array<string, float>  $events  s since it began, by step
     * @param  list<array{float, float}>  $sensor  s since it began, and K
     * @param  ?float  $length  s of heat that are set at most
     * @param  ?float  $drip  s that are set
     */
    private function __construct(
        public \DateTimeInterface $began,
        public array $events,
        public array $sensor,
        public ?float $length,
        public ?float $drip,
    ) {
    }

    /** Null as long as it has not begun. */
    public static function of(Log $log, PartId $part): ?self
    {
        $card = Cards::find(self::CARD) ?? throw new \LogicException(self::CARD.' is missing');
        $progress = new Progress($card, $part, $log);
        $began = self::said($card, $progress, self::BEGINS)[0] ?? null;
        if ($began === null) {
            return null;
        }
        $since = static fn (Fact $one): float => (float) ($one->seenAt()->getTimestamp()
            - $began->seenAt()->getTimestamp());
        $events = $sensor = [];
        foreach (self::EVENTS as $step) {
            $fact = self::said($card, $progress, $step)[0] ?? null;
            $events += $fact === null ? [] : [$step => $since($fact)];
        }
        foreach (self::said($card, $progress, self::SENSOR) as $fact) {
            $sensor[] = [$since($fact), (float) $fact->content->value];
        }

        return new self(
            $began->seenAt(),
            $events,
            $sensor,
            (self::said($card, $progress, self::LENGTH)[0] ?? null)?->content->value,
            (self::said($card, $progress, self::DRIP)[0] ?? null)?->content->value,
        );
    }

    /** @return list<Fact> */
    private static function said(Card $card, Progress $progress, string $step): array
    {
        $known = $card->step($step);

        return $known === null ? [] : $progress->said($known);
    }

    /** s since it began, of the last thing that was noted of it. */
    public function last(): float
    {
        $times = [...array_values($this->events), ...array_column($this->sensor, 0)];

        return $times === [] ? 0.0 : max($times);
    }
}
