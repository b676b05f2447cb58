<?php

declare(strict_types=1);

namespace Metrum\Log;

use Metrum\Quantity\Units;

/**
 * What facts of one kind are: how something said becomes one, what it replaces, how it is told, what it makes stale.
 */
interface KindOfFact
{
    /**
     * What was said, as a fact keeps it. Nothing typed means: not measured, not seen.
     *
     * @throws NotAFact where it cannot be: what was given, and what is possible
     */
    public function content(Statement $said, Ground $ground): Content;

    /** Where such a fact stands among those of its kind: a later one of the same place replaces it. */
    public function place(Fact $fact): string;

    /** Its one line in log and report, without its time. */
    public function line(Fact $fact, Units $units): string;

    /** @return list<Region> what it makes stale on a page, beside its own control and the log */
    public function stale(Content $content): array;

    /** Whether it can be taken back by hand. */
    public function canBeTakenBack(): bool;
}
