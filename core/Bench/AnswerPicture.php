<?php

declare(strict_types=1);

namespace Metrum\Bench;

/** What is drawn of the answer of a calculator. */
enum AnswerPicture: string
{
    case Ratios = 'ratios';
    case Flooded = 'flooded';
    case Legs = 'legs';
    case Elements = 'elements';
    case Schedule = 'schedule';
    case Proposal = 'proposal';
}
