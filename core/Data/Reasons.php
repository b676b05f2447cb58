<?php

declare(strict_types=1);

namespace Metrum\Data;

/** Collects why a document is refused, so that all of it is said at once. */
final class Reasons
{
    private const LONGEST_PATH = 120;

    private const LONGEST_SHOWN = 60;

    /** @var list<string> */
    private array $reasons = [];

    public function refuse(string $path, string $reason): void
    {
        $shown = mb_strlen($path) > self::LONGEST_PATH ? mb_substr($path, 0, self::LONGEST_PATH).'…' : $path;
        $this->reasons[] = $shown.': '.$reason;
    }

    public function areThere(): bool
    {
        return $this->reasons !== [];
    }

    /** @throws Refused where there is any */
    public function raise(): void
    {
        if ($this->reasons !== []) {
            throw new Refused($this->reasons);
        }
    }

    /** What was given, as it stands in a reason. */
    public static function shown(mixed $given): string
    {
        $text = match (true) {
            is_string($given) => '"'.$given.'"',
            is_scalar($given) => (string) json_encode($given),
            $given === null => 'null',
            is_array($given) => 'a list',
            default => 'an object',
        };

        return mb_strlen($text) > self::LONGEST_SHOWN ? mb_substr($text, 0, self::LONGEST_SHOWN).'…' : $text;
    }
}
