<?php

namespace App\Records;

/** How large a file can be sent: what the application takes, or less where PHP is set to less. */
final class UploadLimit
{
    private const MOST = 16 * 1024;

    /** Bytes of a form beside its file. */
    private const FORM = 16;

    public static function kilobytes(): int
    {
        $limits = [self::MOST];
        foreach (['upload_max_filesize', 'post_max_size'] as $setting) {
            $bytes = ini_parse_quantity((string) ini_get($setting));
            if ($bytes > 0) {
                $limits[] = max(1, intdiv($bytes, 1024) - self::FORM);
            }
        }

        return min($limits);
    }

    public static function inWords(): string
    {
        $kilobytes = self::kilobytes();

        return $kilobytes >= 1024 ? round($kilobytes / 1024, 1).' MB' : $kilobytes.' kB';
    }
}
