<?php

declare(strict_types=1);

namespace Tests\Architecture;

/** The rooms of the house, from the ground up: each knows only those before it. */
final class Rooms
{
    /** core/: what it is for, by room. */
    public const CORE = [
        'Quantity' => 'units, numbers, fields',
        'Data' => 'files of data and documents from outside, read strictly',
        'Refrigerant' => 'property tables',
        'Installation' => 'what a plant is made of, what is usual, what fits it',
        'Knowledge' => 'readings, looks, tests, faults, controls, house rules: what is asked and in which words',
        'Bench' => 'calculators: fields in, outputs and steps out',
        'Card' => 'cards of work: gates, steps, outcomes, touches',
        'Log' => 'facts, and what each kind of them does',
        'Findings' => 'what is known of a visit, what follows by formula',
        'Twin' => 'the twin, steady and in time',
        'Diagnosis' => 'evidence, verdict, gates, next checks',
        'Learning' => 'visits to simulated plants, and curves fitted to them',
        'Work' => 'moves with forecast and outcome, cards as they are worked, clocks, what was touched',
        'Exchange' => 'visit file, scenarios, quick line',
    ];

    /** app/: likewise; all of it may know the core. */
    public const APP = [
        'Models' => 'what is kept',
        'Policies' => 'who may do what',
        'Picture' => 'the course and other drawings',
        'Records' => 'author, recorder, judge, books',
        'View' => 'what a page says',
        'Console' => 'commands',
        'Http' => 'requests and answers',
        'Providers' => 'what is plugged in where',
    ];

    /** Rooms side by side that must not know each other although one comes later. */
    public const APART = [['Picture', 'Models'], ['Records', 'Picture'], ['Http', 'Console']];

    /** @return list<string> namespaces from the ground up */
    public static function all(): array
    {
        return [
            ...array_map(static fn (string $room): string => 'Metrum\\'.$room, array_keys(self::CORE)),
            ...array_map(static fn (string $room): string => 'App\\'.$room, array_keys(self::APP)),
        ];
    }

    /** @return list<string> namespaces that this one must not know */
    public static function forbidden(string $room): array
    {
        $all = self::all();
        $forbidden = array_slice($all, (int) array_search($room, $all, true) + 1);
        foreach (self::APART as [$from, $to]) {
            if ($room === 'App\\'.$from) {
                $forbidden[] = 'App\\'.$to;
            }
        }

        return $forbidden;
    }

    /**
     * Which room names which, read off the files.
     *
     * @param  string  $root  of the project
     * @return array<string, array<string, list<string>>> files by the room that names and the room named
     */
    public static function arrows(string $root): array
    {
        $arrows = [];
        foreach (self::all() as $room) {
            foreach (self::files($root.'/'.self::folder($room)) as $file) {
                foreach (self::named((string) file_get_contents($file), $room) as $other) {
                    $arrows[$room][$other][] = substr($file, strlen($root) + 1);
                }
            }
        }

        return $arrows;
    }

    /**
     * Arrows that run up, or between rooms that are apart; where there is none, no circle can close.
     *
     * @param  array<string, array<string, list<string>>>  $arrows
     * @return list<string>
     */
    public static function wrong(array $arrows): array
    {
        $wrong = [];
        foreach ($arrows as $room => $others) {
            foreach (array_intersect_key($others, array_flip(self::forbidden($room))) as $other => $files) {
                $wrong[] = "$room must not know $other: ".implode(', ', $files);
            }
        }

        return $wrong;
    }

    public static function folder(string $room): string
    {
        return str_replace(['Metrum\\', 'App\\'], ['core/', 'app/'], $room);
    }

    /** @return list<string> PHP files below a folder, in order */
    public static function files(string $folder): array
    {
        $files = [];
        $tree = new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS);
        foreach (new \RecursiveIteratorIterator($tree) as $file) {
            if (str_ends_with((string) $file, '.php')) {
                $files[] = (string) $file;
            }
        }
        sort($files);

        return $files;
    }

    /** @return list<string> other rooms named in a file */
    private static function named(string $text, string $room): array
    {
        preg_match_all('/\\\\?\b((?:Metrum|App)\\\\[A-Z]\w+)\\\\/', $text, $found);

        return array_values(array_diff(array_unique($found[1]), [$room]));
    }
}
