<?php

declare(strict_types=1);

namespace Metrum\Work\Site;

use Metrum\Diagnosis\Holding;
use Metrum\Diagnosis\Requirement;
use Metrum\Installation\PartId;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Language\WorkReason;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\SiteTold;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\Log;
use Metrum\Log\WholeRack;

/**
 * Whether somebody stands at the circuit of a rack that they think: its tag was opened last, or it was closed and seen
 * to respond. On a rack names get mixed up.
 */
final readonly class CircuitIdentity
{
    private const CARD = 'which_circuit';

    private const PROVED = 'proved';

    private const ANOTHER = 'another';

    private Log $log;

    public function __construct(private WholeRack $rack, private PartId $circuit)
    {
        $this->log = $rack->log;
    }

    /** The circuit whose tag was opened last; null where none was. */
    public static function lastTag(Log $log): ?PartId
    {
        $tags = array_filter(
            $log->history(FactKind::Site),
            static fn (Fact $one): bool => $one->content->key === SiteTold::TAG,
        );
        $last = end($tags);

        return $last === false ? null : $last->part->ofCircuit();
    }

    public function requirement(): Requirement
    {
        $label = Reason::RightCircuit;
        $tag = self::lastTag($this->log);
        $seen = $this->seen();

        return match (true) {
            $seen === self::ANOTHER => Requirement::doubted(
                $label,
                Sentence::of(WorkReason::OtherAnswered),
                Holding::Fails,
            ),
            $seen === self::PROVED => Requirement::holds($label, Sentence::of(WorkReason::ShutAndSeen)),
            $tag === null => Requirement::doubted(
                $label,
                Sentence::of(WorkReason::TagNotOpened),
                Holding::NotKnown,
            ),
            $tag->is($this->circuit) => Requirement::holds($label, Sentence::of(WorkReason::TagOpenedHere)),
            default => Requirement::doubted(
                $label,
                Sentence::of(WorkReason::OtherTagOpened, part: $this->rack->names[$tag->value] ?? (string) $tag),
                Holding::Fails,
            ),
        };
    }

    /** What closing it came to last; null where that was not done. */
    private function seen(): ?string
    {
        $word = null;
        foreach ($this->log->history(FactKind::Card) as $fact) {
            $isCard = StepTaken::card($fact->content->key)?->key === self::CARD;
            if ($isCard && $fact->part->concerns($this->circuit)) {
                $word = StepTaken::outcome($fact->content)->key ?? $word;
            }
        }

        return $word;
    }
}
