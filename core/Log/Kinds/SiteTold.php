<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Knowledge\SiteLimit;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\Ground;
use Metrum\Log\KindOfFact;
use Metrum\Log\NotAFact;
use Metrum\Log\Region;
use Metrum\Log\Statement;
use Metrum\Quantity\Units;

/** How long there is time at the site, until when it is light and quiet, and what cannot be reached or stopped. */
final readonly class SiteTold implements KindOfFact
{
    public const YES = 'yes';

    /** The tag of the circuit that is the part of the fact was opened. */
    public const TAG = 'tag';

    public function content(Statement $said, Ground $ground): Content
    {
        if ($said->key === self::TAG) {
            return new Content(self::TAG, null, self::YES);
        }
        $limit = SiteLimit::tryFrom($said->key) ?? throw NotAFact::unknownKey($said->key, 'unknown limit of a site');
        if ($said->typed === '' || $said->typed === 'no') {
            return new Content($limit->value);
        }

        return $limit->isTime()
            ? new Content($limit->value, null, null, [
                TimeSaid::AT => TimeSaid::in($limit->label(), $said->typed)->text,
            ])
            : new Content($limit->value, null, self::YES);
    }

    public function place(Fact $fact): string
    {
        return $fact->content->key;
    }

    public function line(Fact $fact, Units $units): string
    {
        if ($fact->content->key === self::TAG) {
            return 'Tag opened: '.($fact->part->name() === '' ? 'this circuit' : $fact->part->name());
        }
        $limit = SiteLimit::from($fact->content->key);
        $at = TimeSaid::kept($fact->content);

        return match (true) {
            $fact->content->isCleared() => $limit->label().': no longer',
            $at !== null => $limit->label().' '.$at->nearest($fact->takenAt)->format('H:i'),
            default => $limit->label(),
        };
    }

    public function stale(Content $content): array
    {
        return [Region::Work];
    }

    public function canBeTakenBack(): bool
    {
        return true;
    }
}
