<?php

declare(strict_types=1);

namespace Metrum\Work\Record;

use Metrum\Data\BrokenData;
use Metrum\Data\Knowledge;

/** A figure that is followed over the visits of a circuit by its distance from the twin. Data: data/history.json. */
enum HistoryFigure: string
{
    case Split = 'split';
    case Td = 'td';
    case Superheat = 'superheat';
    case Subcooling = 'subcooling';
    case Level = 'level';
    case Current = 'current';
    case PullDown = 'pull_down';
    case IceDay = 'ice_day';

    /** @throws BrokenData */
    public function row(): HistoryFigureRow
    {
        return Knowledge::once(
            'history figure '.$this->value,
            fn (): HistoryFigureRow => HistoryFigureRow::of(Knowledge::file('history')->row($this->value)),
        );
    }
}
