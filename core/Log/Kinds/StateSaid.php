<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Knowledge\State;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\Ground;
use Metrum\Log\KindOfFact;
use Metrum\Log\NotAFact;
use Metrum\Log\Region;
use Metrum\Log\Statement;
use Metrum\Quantity\Units;

/** What the plant is doing: the last word stands. */
final readonly class StateSaid implements KindOfFact
{
    private const KEY = 'state';

    public function content(Statement $said, Ground $ground): Content
    {
        if ($said->typed === '') {
            return new Content(self::KEY);
        }
        $state =
            State::tryFrom($said->typed) ??
            throw NotAFact::unknownWord(
                'State',
                $said->typed,
                array_map(static fn (State $one): string => mb_strtolower($one->label()), State::cases()),
            );

        return new Content(self::KEY, null, $state->value);
    }

    public function place(Fact $fact): string
    {
        return $fact->part->root().' '.self::KEY;
    }

    public function line(Fact $fact, Units $units): string
    {
        $content = $fact->content;

        return $content->word === null ? 'State not given' : State::from($content->word)->label();
    }

    public function stale(Content $content): array
    {
        return Region::cases();
    }

    public function canBeTakenBack(): bool
    {
        return true;
    }
}
