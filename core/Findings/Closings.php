<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\Installation;
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

    /** @var array<string, float> what was read last, by Reading and suction group */
    private array $read = [];

    /** @var array<string, float> what was read since the last of them, by the same */
    private array $since = [];

    /** @var array<string, true> by part */
    private array $closed = [];

    /** @var ?array{PartId, bool, \DateTimeImmutable, array<string, float>, list<string>} */
    private ?array $last = null;

    private function __construct(private readonly Installation $plant)
    {
    }

    /** @return list<Closing> in the order in which it was done */
    public static function of(Log $log, Installation $plant): array
    {
        $self = new self($plant);
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
            $key = $this->key($asked, $fact->part);
            $this->read[$key] = $this->since[$key] = (float) $fact->content->value;
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
        $header = $this->key(Reading::SuctionHeader, $circuit);
        $level = $this->key(Reading::ReceiverLevel, $circuit);
        $this->all[] = new Closing(
            $circuit,
            $closes,
            $at,
            $before[$level] ?? null,
            $this->since[$level] ?? null,
            $before[$header] ?? null,
            $this->since[$header] ?? null,
            $closed,
        );
        $this->last = null;
    }

    /** Of several suction groups the header is that from which a circuit draws, or that which was read. */
    private function key(Reading $reading, PartId $part): string
    {
        $group = $this->plant->hasSeveralGroups() && $reading->taking()->isOfGroup
            ? $this->plant->branch($part)->group ?? $part
            : PartId::plant();

        return $reading->value.' '.$group->value;
    }
}
