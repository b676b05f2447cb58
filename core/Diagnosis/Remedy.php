<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Card\Cards;
use Metrum\Circuit\Control;
use Metrum\Circuit\DataRow;
use Metrum\Quantity\BrokenData;

/** By what a fault is put right first: a move, a card of work, or nothing that is turned or worked here. */
final readonly class Remedy
{
    private function __construct(public ?Control $move, public string $card)
    {
    }

    /** @throws BrokenData where it is neither a move nor a card */
    public static function of(DataRow $row, string $key): self
    {
        $named = $row->text($key);
        $move = Control::tryFrom($named);
        if ($named !== '' && $move === null && Cards::find($named) === null) {
            throw $row->broken($key, "\"$named\" is no move and no card");
        }

        return new self($move, $move === null ? $named : '');
    }
}
