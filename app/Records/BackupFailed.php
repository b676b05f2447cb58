<?php

namespace App\Records;

/** A copy could not be made or brought back; the message says why. Nothing was changed. */
final class BackupFailed extends \RuntimeException
{
    public static function because(string $why): self
    {
        return new self($why);
    }
}
