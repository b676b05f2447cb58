<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Card\Cards;
use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Knowledge\Control;

/** By what a fault is put right first: a move, a card of work, or nothing that is turned or worked here. */
final readonly class Remedy
{
    /** Said where nothing is turned or worked. */
    private const NONE = 'none';

    private function __construct(public ?Control $move, public string $card)
    {
    }

    /** @throws BrokenData where it is neither a move nor a card */
    public static function of(DataRow $row, string $key): self
    {
        $named = $row->text($key);
        $move = Control::tryFrom($named);
        $isCard = $move === null && $named !== self::NONE;
        if ($isCard && Cards::find($named) === null) {
            throw $row->broken($key, "\"$named\" is not a change, a procedure or \"".self::NONE.'"');
        }

        return new self($move, $isCard ? $named : '');
    }
}
