<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\Installation;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Word;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;

/**
 * Folds the log of a visit to a plant of several circuits: what stands of each part. What is about all of them is the
 * plant's, whichever circuit was walked when it was read.
 */
final class RackLog
{
    /** @var array<string, PartFindings> by part */
    private array $parts = [];

    private PartFindings $shared;

    private function __construct()
    {
        $this->shared = new PartFindings();
    }

    /** @param  array<string, string>  $names  what people call circuits, by their part */
    public static function findings(
        Log $log,
        Installation $plant,
        array $names = [],
        ?string $id = null,
        ?string $takenAt = null,
    ): RackFindings {
        $self = new self();
        foreach ($log->standing() as $fact) {
            $self->hear($fact);
        }

        return new RackFindings($plant, $self->shared, $self->parts, $names, $id, $takenAt);
    }

    private function hear(Fact $fact): void
    {
        $told = self::told($fact);
        if ($told === null) {
            return;
        }
        if ($fact->part->is(PartId::plant()) || self::isShared($fact)) {
            $this->shared = $told->besides($this->shared);
        } else {
            $part = $fact->part->value;
            $this->parts[$part] = $told->besides($this->parts[$part] ?? new PartFindings());
        }
    }

    private static function isShared(Fact $fact): bool
    {
        $asked = $fact->kind->asked($fact->content->key);

        return $asked !== null && $asked->taking()->isShared && ! $fact->part->isCompressor();
    }

    /** What one fact says alone; null where it says nothing of the plant. */
    private static function told(Fact $fact): ?PartFindings
    {
        $content = $fact->content;
        $word = Word::tryFrom((string) $content->word);
        if ($fact->kind === FactKind::Reading && $content->value !== null) {
            return new PartFindings(readings: self::read($content->key, $content->value));
        }

        return match (true) {
            $fact->kind === FactKind::Observation && $word !== null => new PartFindings(
                observations: [$content->key => $word],
            ),
            $fact->kind === FactKind::Test && $word !== null => new PartFindings(tests: [$content->key => $word]),
            $fact->kind === FactKind::State => new PartFindings(state: State::tryFrom((string) $content->word)),
            $fact->kind === FactKind::Complaint => new PartFindings(
                complaints: array_filter([Complaint::tryFrom($content->key)]),
            ),
            default => null,
        };
    }

    /** @return array<string, float> a suction pressure at the compressors is that of the header */
    private static function read(string $key, float $si): array
    {
        return $key === Reading::SuctionPressure->value ? [Reading::SuctionHeader->value => $si] : [$key => $si];
    }
}
