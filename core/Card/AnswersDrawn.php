<?php

declare(strict_types=1);

namespace Metrum\Card;

/** Answers of a step that are told apart by their picture. */
enum AnswersDrawn: string
{
    /** What swings with what, over time. */
    case Swings = 'swings';
}
