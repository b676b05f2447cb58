<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Knowledge\Complaint;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\Ground;
use Metrum\Log\KindOfFact;
use Metrum\Log\NotAFact;
use Metrum\Log\Region;
use Metrum\Log\Statement;
use Metrum\Quantity\Units;

/** What the owner says: several may stand beside each other. */
final readonly class ComplaintHeard implements KindOfFact
{
    public function content(Statement $said, Ground $ground): Content
    {
        if (Complaint::tryFrom($said->key) === null) {
            throw NotAFact::unknownKey($said->key, 'unknown option');
        }

        return new Content($said->key, null, in_array($said->typed, ['', 'no'], true) ? null : 'yes');
    }

    public function place(Fact $fact): string
    {
        return $fact->part->root().' '.$fact->content->key;
    }

    public function line(Fact $fact, Units $units): string
    {
        $content = $fact->content;

        return Complaint::from($content->key)->label();
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
