<?php

declare(strict_types=1);

namespace Metrum\Bench;

/** One sum of the trade. */
interface Calculation
{
    /** @return list<Input> */
    public function asks(): array;

    /** @throws \Metrum\Quantity\Unanswerable where the inputs together cannot be */
    public function answer(Inputs $given): Answer;
}
