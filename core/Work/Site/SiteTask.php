<?php

declare(strict_types=1);

namespace Metrum\Work\Site;

use Metrum\Card\Card;
use Metrum\Diagnosis\Check;
use Metrum\Installation\Circuit;
use Metrum\Installation\CondenserPlace;
use Metrum\Knowledge\Station;
use Metrum\Knowledge\Whereabouts;

/** Something that is worth doing at a visit: how long it takes, where, and what it needs. */
final readonly class SiteTask
{
    private const MINUTE = 60.0;

    /**
     * @param  float  $seconds  that it takes
     * @param  bool  $stops  the system stands while it is done
     * @param  list<string>  $tools
     * @param  Station  $station  at which it is entered
     * @param  ?Card  $card  by which it is done step by step
     */
    private function __construct(
        public string $key,
        public string $name,
        public float $seconds,
        public Whereabouts $where,
        public bool $stops,
        public array $tools,
        public Station $station,
        public ?Card $card,
    ) {
    }

    public static function ofCard(Card $card): self
    {
        return new self(
            $card->key,
            $card->name,
            self::MINUTE * $card->minutes,
            $card->where,
            $card->stops,
            $card->tools,
            $card->station,
            $card,
        );
    }

    /** @param  ?Card  $card  by which it is done; null: it is read or looked at */
    public static function ofCheck(Check $check, ?Card $card): self
    {
        return $card !== null
            ? self::ofCard($card)
            : new self(
                (string) $check->key->value,
                $check->title(),
                self::MINUTE * $check->minutes,
                Whereabouts::of($check->key),
                false,
                [],
                Station::of($check->key),
                null,
            );
    }

    /** Whether it is done outdoors, at the unit. */
    public function isOutdoors(Circuit $circuit): bool
    {
        return $this->where === Whereabouts::Unit && $circuit->condenser === CondenserPlace::AirOutdoor;
    }
}
