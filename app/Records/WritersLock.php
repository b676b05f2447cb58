<?php

namespace App\Records;

/**
 * Shuts writers out while a copy of the logbook is brought back.
 *
 * Everyone who writes holds a share of one lock on a file; bringing back takes it whole, waits for those under way, and
 * a share cannot be had meanwhile. The system itself gives it back where a process ends without doing so.
 */
final class WritersLock
{
    private const POLL = 20_000;

    /** @var ?resource */
    private static $held = null;

    private function __construct()
    {
    }

    /** A share for as long as this request lasts; false where writers are shut out. */
    public static function share(): bool
    {
        if (self::$held !== null) {
            return true;
        }
        $file = self::opened();
        if ($file === null) {
            // Where nothing can be written there is nothing to bring back either; the database says so itself.
            return true;
        }
        if (! flock($file, LOCK_SH | LOCK_NB)) {
            fclose($file);

            return false;
        }
        self::$held = $file;

        return true;
    }

    /** Gives the share back. */
    public static function release(): void
    {
        if (self::$held !== null) {
            flock(self::$held, LOCK_UN);
            fclose(self::$held);
            self::$held = null;
        }
    }

    /**
     * Works with all writers shut out.
     *
     * @template T
     *
     * @param  float  $seconds  for which those under way are waited for
     * @param  callable(): T  $work
     * @return T
     *
     * @throws BackupFailed where somebody still writes then
     */
    public static function shut(float $seconds, callable $work): mixed
    {
        $file =
            self::opened() ??
            throw BackupFailed::because('Cannot take the write lock: '.config('database.writers_lock'));
        $until = microtime(true) + $seconds;
        while (! flock($file, LOCK_EX | LOCK_NB)) {
            if (microtime(true) > $until) {
                fclose($file);
                throw BackupFailed::because("Someone is still writing after $seconds s; nothing was changed.");
            }
            usleep(self::POLL);
        }
        try {
            return $work();
        } finally {
            flock($file, LOCK_UN);
            fclose($file);
        }
    }

    /** @return ?resource */
    private static function opened()
    {
        $file = @fopen((string) config('database.writers_lock'), 'c');

        return $file === false ? null : $file;
    }
}
