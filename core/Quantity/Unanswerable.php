<?php

declare(strict_types=1);

namespace Metrum\Quantity;

/** Something was given or asked that cannot be: the message says what it was, what is possible, and where. */
abstract class Unanswerable extends \RuntimeException
{
}
