<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\Ground;
use Metrum\Log\KindOfFact;
use Metrum\Log\NotAFact;
use Metrum\Log\Region;
use Metrum\Log\Statement;
use Metrum\Quantity\Units;

/** An undo: the fact that it names no longer stands. */
final readonly class TakenBack implements KindOfFact
{
    /** The content that takes a fact back. */
    public static function of(Fact $fact): Content
    {
        return new Content($fact->content->key, null, null, ['of' => $fact->id]);
    }

    public function content(Statement $said, Ground $ground): Content
    {
        throw NotAFact::because('Choose the entry to undo in the log.');
    }

    public function place(Fact $fact): string
    {
        return $fact->id;
    }

    public function line(Fact $fact, Units $units): string
    {
        $content = $fact->content;

        return 'Undone';
    }

    public function stale(Content $content): array
    {
        return Region::cases();
    }

    public function canBeTakenBack(): bool
    {
        return false;
    }
}
