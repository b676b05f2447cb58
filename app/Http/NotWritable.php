<?php

namespace App\Http;

use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;

/** The database cannot be written just now: what was sent waits where it was made, and can be sent again. */
final class NotWritable extends ServiceUnavailableHttpException
{
    /** Of SQLite: busy, locked, read-only, disk full; of PostgreSQL: read-only, disk full. */
    private const CODES = [5, 6, 8, 13, '25006', '53100'];

    private const SECONDS = 5;

    private const SAID = 'Saving is not possible right now. Saved entries are safe. Try again in a moment.';

    private const BROUGHT_BACK = 'A backup is being restored. Nothing can be saved during that time; '.
        'your entries are kept, try again in a moment.';

    /** What a full or read-only disk says of a file that was to be written. */
    private const OF_A_FILE =
        '/No space left on device|Read-only file system|out of free disk space|Permission denied|Disk quota exceeded/';

    public static function broughtBack(): self
    {
        return new self(self::SECONDS, self::BROUGHT_BACK);
    }

    /** Of a file of sessions, of the cache or of the log. */
    public static function orTheFile(\ErrorException $failure): \Throwable
    {
        return preg_match(self::OF_A_FILE, $failure->getMessage()) === 1
            ? new self(self::SECONDS, self::SAID, $failure)
            : $failure;
    }

    public static function orItself(\PDOException $failure): \Throwable
    {
        $info = $failure->errorInfo ?? [];
        $is = in_array($info[1] ?? null, self::CODES, true) || in_array($info[0] ?? null, self::CODES, true);

        return $is ? new self(self::SECONDS, self::SAID, $failure) : $failure;
    }
}
