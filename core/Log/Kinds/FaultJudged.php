<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Knowledge\Fault;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\Ground;
use Metrum\Log\KindOfFact;
use Metrum\Log\NotAFact;
use Metrum\Log\Region;
use Metrum\Log\Statement;
use Metrum\Quantity\Units;

/** A fault confirmed or ruled out, with the reason: several may stand beside each other. */
final readonly class FaultJudged implements KindOfFact
{
    /** @param  string  $heading  before the fault's name in the log */
    public function __construct(private string $heading)
    {
    }

    public function content(Statement $said, Ground $ground): Content
    {
        if (Fault::tryFrom($said->key) === null) {
            throw NotAFact::unknownKey($said->key, 'unknown option');
        }
        if (in_array($said->typed, ['', 'no'], true)) {
            return new Content($said->key);
        }

        return new Content($said->key, null, 'yes', $said->reason === '' ? [] : ['reason' => $said->reason]);
    }

    public function place(Fact $fact): string
    {
        return $fact->part->root().' '.$fact->content->key;
    }

    public function line(Fact $fact, Units $units): string
    {
        $content = $fact->content;
        $reason = $content->text('reason');

        return $this->heading.
            ': '.
            Fault::from($content->key)->label().
            ($reason === '' ? '' : ', because '.$reason);
    }

    public function stale(Content $content): array
    {
        return [Region::Verdict, Region::Walk, Region::Hints];
    }

    public function canBeTakenBack(): bool
    {
        return true;
    }
}
