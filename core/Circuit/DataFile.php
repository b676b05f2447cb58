<?php

declare(strict_types=1);

namespace Metrum\Circuit;

use Metrum\Quantity\BrokenData;
use Metrum\Quantity\Prepared;

/** Reads the files under data/ once a process. */
final class DataFile
{
    /** @var array<string, DataRow> */
    private static array $read = [];

    /**
     * @param  string  $path  below data/, without .json
     *
     * @throws BrokenData where it is no JSON object
     */
    public static function read(string $path): DataRow
    {
        return self::$read[$path] ??= self::decoded($path);
    }

    private static function decoded(string $path): DataRow
    {
        $name = 'data/'.$path.'.json';
        $rows = Prepared::of('data-'.str_replace('/', '-', $path), static fn (): array => self::json($name));

        return new DataRow($name, $rows);
    }

    /**
     * @return array<mixed>
     *
     * @throws BrokenData
     */
    private static function json(string $name): array
    {
        $file = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/'.$name), true, 32);

        return is_array($file)
            ? $file
            : throw BrokenData::at($name, 'no JSON object ('.json_last_error_msg().')');
    }
}
