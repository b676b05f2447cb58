<?php

declare(strict_types=1);

namespace Metrum\Language;

/** What a sentence means, whoever reads it; its value is the key of its text in data/sentences.json. */
interface Message extends \BackedEnum
{
}
