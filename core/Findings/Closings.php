<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Log\Fact;
use Metrum\Log\Log;

/** Circuits closed one after another at a visit, with level and header before and after each. */
final class Closings
{
    /** @var list<Closing> */
    private array $all = [];

    /** @var array<string, float> what was read last, by Reading */
    private array $read = [];

    /** @var array<string, float> what was read since the last of them, by Reading */
    private array $since = [];

    /** @var array<string, true> by part */
    private array $closed = [];

    /** @var ?array{PartId, bool, \DateTimeImmutable, array<string, float>, list<string>} */
    private ?array $last = null;

    private function __construct()
    {
    }

    /** @return list<Closing> in the order in which it was done */
    public static function of(Log $log): array
    {
        $self = new self();
        foreach ($log->happened() as $fact) {
            $self->hear($fact);
        }
        $self->end();

        return $self->all;
    }

    private function hear(Fact $fact): void
    {
        $asked = $fact->kind->asked($fact->content->key);
        if ($asked === Reading::ReceiverLevel || $asked === Reading::SuctionHeader) {
            $this->read[$asked->value] = $this->since[$asked->value] = (float) $fact->content->value;
        }
        if ($asked === Observation::CircuitShut) {
            $this->moved($fact, Word::tryFrom((string) $fact->content->word));
        }
    }

    private function moved(Fact $fact, ?Word $word): void
    {
        $part = $fact->part->value;
        $closes = $word === Word::ByUs;
        if ($closes === isset($this->closed[$part])) {
            return;
        }
        $this->end();
        $this->last = [$fact->part, $closes, $fact->seenAt(), $this->read, array_keys($this->closed)];
        $this->since = [];
        if ($closes) {
            $this->closed[$part] = true;
        } else {
            unset($this->closed[$part]);
        }
    }

    private function end(): void
    {
        if ($this->last === null) {
            return;
        }
        [$circuit, $closes, $at, $before, $closed] = $this->last;
        $this->all[] = new Closing(
            $circuit,
            $closes,
            $at,
            $before[Reading::ReceiverLevel->value] ?? null,
            $this->since[Reading::ReceiverLevel->value] ?? null,
            $before[Reading::SuctionHeader->value] ?? null,
            $this->since[Reading::SuctionHeader->value] ?? null,
            $closed,
        );
        $this->last = null;
    }
}
