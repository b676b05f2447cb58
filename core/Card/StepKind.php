<?php

declare(strict_types=1);

namespace Metrum\Card;

/** What a step of a card asks for. Each step has the word of one of these as a key. */
enum StepKind: string
{
    /** Read it, nothing is kept. */
    case Say = 'say';
    /** A reading of the visit, or an amount of the card's own. */
    case Take = 'take';
    case Tick = 'tick';
    /** An observation of the visit, or an answer of the card's own. */
    case Choose = 'choose';
    /** A clock by a house rule. */
    case Wait = 'wait';
    /** One amount again and again, each stamped. */
    case Time = 'time';
    /** A control of the plant. */
    case Move = 'move';
    /** What follows from the steps before, live. */
    case Figure = 'figure';
}
