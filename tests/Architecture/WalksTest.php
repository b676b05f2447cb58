<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The natural ways through the house, as docs/walks tells them: a room is gone into once there, and once back. */
final class WalksTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function walks(): iterable
    {
        foreach (glob(dirname(__DIR__, 2).'/docs/walks/*.md') ?: [] as $file) {
            yield basename($file, '.md') => [$file];
        }
    }

    #[DataProvider('walks')]
    public function test_every_file_on_the_way_is_there(string $walk): void
    {
        $files = array_merge(...self::steps($walk));
        self::assertGreaterThan(10, count($files));
        foreach ($files as $file) {
            self::assertFileExists(dirname(__DIR__, 2).'/'.$file);
        }
    }

    #[DataProvider('walks')]
    public function test_no_room_is_gone_into_more_often_than_there_and_back(string $walk): void
    {
        $entered = [];
        $in = null;
        foreach (self::steps($walk) as $files) {
            foreach (array_unique(array_map(self::room(...), $files)) as $room) {
                if ($room !== $in) {
                    $entered[$room] = ($entered[$room] ?? 0) + 1;
                    $in = $room;
                }
            }
        }
        self::assertSame([], array_filter($entered, static fn (int $times): bool => $times > 2));
        self::assertGreaterThan(7, count($entered));
    }

    /** @return list<list<string>> files by step */
    private static function steps(string $walk): array
    {
        preg_match_all('/^\| \d+ \|.*\|(.*)\|$/m', (string) file_get_contents($walk), $rows);

        return array_map(static function (string $files): array {
            preg_match_all('/`([^`]+)`/', $files, $named);

            return $named[1];
        }, $rows[1]);
    }

    /** "core/Work", "resources/js" */
    private static function room(string $file): string
    {
        return implode('/', array_slice(explode('/', $file), 0, 2));
    }
}
