<?php

namespace App\Http;

use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;

/** The database cannot be written just now: what was sent waits where it was made, and can be sent again. */
final class NotWritable extends ServiceUnavailableHttpException
{
    /** Of SQLite: busy, locked, read-only, disk full; of PostgreSQL: read-only, disk full. */
    private const CODES = [5, 6, 8, 13, '25006', '53100'];

    private const SECONDS = 5;

    private const SAID = 'Nothing can be saved just now. What was saved is not harmed; try again in a moment.';

    public static function orItself(\PDOException $failure): \Throwable
    {
        $info = $failure->errorInfo ?? [];
        $is = in_array($info[1] ?? null, self::CODES, true) || in_array($info[0] ?? null, self::CODES, true);

        return $is ? new self(self::SECONDS, self::SAID, $failure) : $failure;
    }
}
