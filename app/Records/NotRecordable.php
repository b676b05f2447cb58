<?php

namespace App\Records;

/** What was entered cannot be kept as a finding; the message says what was given and what is possible. */
final class NotRecordable extends \InvalidArgumentException
{
}
