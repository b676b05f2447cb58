<?php

declare(strict_types=1);

namespace Metrum\Card;

/** Where a card takes a value from: the word before the colon. */
enum Origin: string
{
    /** A step of the card, or an output of one of its figures; it has no word. */
    case Step = 'step';
    /** A reading of the visit, whichever step took it. */
    case Reading = 'reading';
    /** What follows from the readings by formula. */
    case Figure = 'figure';
    /** An end of a house rule's band. */
    case Rule = 'rule';
    /** An end of what is wanted of the figure that a control is made for. */
    case Wanted = 'wanted';
    /** A value of the plate. */
    case Design = 'design';
    /** What the twin, sound and in this weather, would show. */
    case Expected = 'expected';
    /** What the search for leaks comes to: left, next, places. */
    case Search = 'search';
    /** The school of a house rule that is in force, by its id; "own" where the house has figures of its own. */
    case School = 'school';
    /** Time from one of its steps to another, as they were said: "between:begins.heat_off". */
    case Between = 'between';
    /** What the circuit is made of: blend, glides. */
    case Plant = 'plant';
    /** A number as it stands in the file, in the unit of what asks for it. */
    case Number = 'number';
}
