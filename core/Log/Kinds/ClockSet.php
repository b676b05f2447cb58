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
use Metrum\Quantity\Field;
use Metrum\Quantity\Magnitude;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/** A clock was set: so long from the moment it was set. A later one of the same name runs instead of it. */
final readonly class ClockSet implements KindOfFact
{
    /** What a clock waits for where nobody names it. */
    public const SETTLING = 'settling';

    private const LONGEST_MINUTES = 24 * 60.0;

    private const LONGEST_NAME = 40;

    /** How long a clock can run. */
    public static function field(): Field
    {
        return Field::inFileUnit('minutes', 'Timer', QuantityKind::Duration, 0.0, self::LONGEST_MINUTES);
    }

    public function content(Statement $said, Ground $ground): Content
    {
        $key = $said->key === '' ? self::SETTLING : $said->key;
        if (mb_strlen($key) > self::LONGEST_NAME) {
            throw NotAFact::because('The timer name has more than '.self::LONGEST_NAME.' characters.');
        }
        if ($said->typed === '') {
            return new Content($key);
        }
        try {
            $seconds = self::field()->read($said->typed, $ground->units)->si;
        } catch (NotAQuantity $reason) {
            throw NotAFact::because($reason->getMessage());
        }

        return new Content($key, $seconds, null, []);
    }

    public function place(Fact $fact): string
    {
        return $fact->part.' '.$fact->content->key;
    }

    public function line(Fact $fact, Units $units): string
    {
        $content = $fact->content;

        return $content->value === null
            ? 'Timer stopped'
            : 'Timer started: '.Magnitude::minutes($content->value)->in($units);
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
