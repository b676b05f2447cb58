<?php

namespace App\Records\Attachments;

/** A photo or a sound cannot be kept; the message says what came, and what can be. */
final class NotKept extends \RuntimeException
{
}
