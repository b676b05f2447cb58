<?php

namespace App\Records\Attachments;

/** What can be drawn on a photo. */
enum MarkShape: string
{
    case Circle = 'circle';
    case Arrow = 'arrow';
    case Word = 'word';

    public function label(): string
    {
        return ucfirst($this->value);
    }
}
