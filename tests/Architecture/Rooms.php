<?php

declare(strict_types=1);

namespace Tests\Architecture;

/** The rooms of the house, from the ground up: each knows only those before it. */
final class Rooms
{
    /** core/: what it is for, by room. */
    public const CORE = [
        'Quantity' => 'units, numbers, fields',
        'Data' => 'files and documents from outside, read strictly',
        'Refrigerant' => 'property tables',
        'Installation' => 'a plant, its parts, what is usual and fits',
        'Knowledge' => 'what is asked, and in which words; faults, rules',
        'Language' => 'reasons and amounts, in a reader\'s words and units',
        'Bench' => 'calculators: fields in, outputs and steps out',
        'Card' => 'cards of work: gates, steps, outcomes, touches',
        'Log' => 'facts, and what each kind of them does',
        'Findings' => 'what is known of a visit, what follows by formula',
        'Twin' => 'the twin, steady and in time',
        'Diagnosis' => 'evidence, verdict, gates, next checks',
        'Learning' => 'simulated visits, and curves fitted to them',
        'Work' => 'assessment, desk, moves, cards as worked',
        'Exchange' => 'visit file, scenarios, quick line',
    ];

    /** app/: likewise; all of it may know the core. */
    public const APP = [
        'Models' => 'what is kept',
        'Policies' => 'who may do what',
        'Picture' => 'the course and other drawings',
        'Records' => 'author, recorder, judge, books',
        'View' => 'what a page says',
        'Views' => 'Blade: how it is laid out',
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
        return $room === 'App\\Views'
            ? 'resources/views'
            : str_replace(['Metrum\\', 'App\\'], ['core/', 'app/'], $room);
    }

    /**
     * Folders inside a room, each with whether the room's own files and it know each other.
     *
     * @return array<string, bool> by name
     */
    public static function folders(string $root, string $room): array
    {
        $knows = self::within($root, $room);
        $folders = [];
        foreach (array_keys($knows) as $folder) {
            if ($folder !== '') {
                $folders[$folder] = isset($knows[$folder][''], $knows[''][$folder]);
            }
        }
        ksort($folders);

        return $folders;
    }

    /** @return list<string> pairs of folders inside a room that know each other */
    public static function circles(string $root, string $room): array
    {
        $knows = self::within($root, $room);
        $circles = [];
        foreach ($knows as $folder => $others) {
            foreach (array_keys($others) as $other) {
                if ($folder !== '' && $other !== '' && $folder < $other && isset($knows[$other][$folder])) {
                    $circles[] = "$room: $folder and $other";
                }
            }
        }

        return $circles;
    }

    /**
     * Which folder of a room names which; '' is the room itself.
     *
     * @return array<string, array<string, true>>
     */
    private static function within(string $root, string $room): array
    {
        $home = $root.'/'.self::folder($room).'/';
        $knows = ['' => []];
        $folderOf = static fn (string $path): string => str_contains($path, '/') ? explode('/', $path)[0] : '';
        foreach (self::files($root.'/'.self::folder($room)) as $file) {
            $folder = $folderOf(substr($file, strlen($home)));
            $knows[$folder] ??= [];
            $own = preg_quote($room, '/');
            $text = (string) preg_replace('/^namespace .*$/m', '', (string) file_get_contents($file));
            preg_match_all('/\b'.$own.'\\\\(\w+)(\\\\\w+)?/', $text, $named);
            foreach ($named[1] as $i => $first) {
                $knows[$folder][$named[2][$i] === '' ? '' : $first] = true;
            }
        }
        $folders = implode('|', array_filter(array_keys($knows)));
        foreach ($folders === '' ? [] : (array) glob($home.'*.php') as $file) {
            $isNamed = preg_match_all("/(?<![\\\\\w])($folders)\\\\[A-Z]/", (string) file_get_contents($file), $named);
            foreach ($isNamed > 0 ? $named[1] : [] as $folder) {
                $knows[''][$folder] = true;
            }
        }
        foreach (array_keys($knows) as $folder) {
            unset($knows[$folder][$folder]);
        }

        return $knows;
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
