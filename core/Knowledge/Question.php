<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Data\BrokenData;

/** A question that is answered by a word: an observation or a test. */
interface Question extends Asked
{
    /** @throws BrokenData */
    public function row(): QuestionRow;

    /** @return list<Word> what it may be answered with */
    public function words(): array;
}
