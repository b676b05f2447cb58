<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Data\Section;
use Metrum\Log\Content;
use Metrum\Log\FactKind;
use Metrum\Log\Ground;
use Metrum\Log\Kinds\GoodsTold;
use Metrum\Log\Kinds\TimeSaid;
use Metrum\Log\NotAFact;
use Metrum\Log\Statement;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Units;

/** Reads from a file what was told of goods or of the site: it is held to what a person may enter. */
final readonly class ToldFact
{
    /** Null, with its reason, where it cannot be. */
    public function content(Section $section, FactKind $kind): ?Content
    {
        $at = $section->besides('')[TimeSaid::AT] ?? '';
        $typed = match (true) {
            is_string($at) && $at !== '' => $at,
            $section->has(GoodsTold::TEXT) => (string) $section->text(GoodsTold::TEXT),
            default => (string) $section->text('word'),
        };
        $said = new Statement($kind, (string) $section->text('key'), $typed, (string) $section->text(GoodsTold::WHO));
        try {
            return $kind->rule()->content($said, new Ground(new Units(), Atmosphere::atAltitude(0.0)));
        } catch (NotAFact $reason) {
            $section->refuse('key', $reason->getMessage());

            return null;
        }
    }
}
