<?php

declare(strict_types=1);

namespace Metrum\Circuit;

/** Reads the files under data/ once a process. */
final class DataFile
{
    /** @var array<string, array<string, mixed>> */
    private static array $read = [];

    /**
     * @param  string  $path  below data/, without .json
     * @return array<string, mixed>
     */
    public static function read(string $path): array
    {
        if (! isset(self::$read[$path])) {
            /** @var array<string, mixed> $file */
            $file = json_decode(
                (string) file_get_contents(dirname(__DIR__, 2).'/data/'.$path.'.json'),
                true,
                32,
                JSON_THROW_ON_ERROR,
            );
            self::$read[$path] = $file;
        }

        return self::$read[$path];
    }
}
