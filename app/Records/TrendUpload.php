<?php

namespace App\Records;

use App\Models\Visit;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Metrum\Data\Refused;
use Metrum\Exchange\TrendFile;

/** A controller's export between its upload and what somebody says of its columns; a day later it is gone. */
final class TrendUpload
{
    private const FOLDER = 'trends';

    private const HOURS = 24;

    /** @return string under which it is found again @throws Refused where it is no table */
    public static function put(Visit $visit, string $text): string
    {
        TrendFile::read($text);
        self::sweep();
        $name = strtolower((string) Str::ulid());
        Storage::put(self::path($visit, $name), $text);

        return $name;
    }

    /** Null where it is gone. @throws Refused */
    public static function get(Visit $visit, string $name): ?TrendFile
    {
        $path = self::path($visit, $name);

        return Str::isUlid($name) && Storage::exists($path) ? TrendFile::read((string) Storage::get($path)) : null;
    }

    public static function drop(Visit $visit, string $name): void
    {
        Storage::delete(self::path($visit, $name));
    }

    private static function path(Visit $visit, string $name): string
    {
        return self::FOLDER.'/'.$visit->id.'-'.$name.'.csv';
    }

    private static function sweep(): void
    {
        foreach (Storage::files(self::FOLDER) as $path) {
            if (Storage::lastModified($path) < now()->subHours(self::HOURS)->getTimestamp()) {
                Storage::delete($path);
            }
        }
    }
}
