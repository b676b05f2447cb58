<?php

declare(strict_types=1);

namespace Metrum\Exchange;

/** What readers of files share: whatever is unknown, of the wrong type or impossible is named with its path. */
abstract class StrictReader
{
    /** @var list<string> */
    protected array $reasons = [];

    /**
     * @template T of \BackedEnum
     *
     * @param  array<mixed>  $section
     * @param  class-string<T>  $enum
     * @return T|null
     */
    protected function enum(array $section, string $key, string $path, string $enum): ?\BackedEnum
    {
        if (! array_key_exists($key, $section)) {
            return null;
        }
        $given = $section[$key];
        $case = is_string($given) ? $enum::tryFrom($given) : null;
        if ($case === null) {
            $this->refuse(
                $path.$key,
                self::shown($given).
                    ' was given; possible is '.
                    implode(', ', array_column($enum::cases(), 'value')),
            );
        }

        return $case;
    }

    /** @param  array<mixed>  $section */
    protected function number(array $section, string $key, string $path): ?float
    {
        if (! array_key_exists($key, $section)) {
            return null;
        }
        $given = $section[$key];
        if ((! is_int($given) && ! is_float($given)) || ! is_finite((float) $given)) {
            $this->refuse($path.$key, self::shown($given).' was given; a number is wanted');

            return null;
        }

        return (float) $given;
    }

    /** @param  array<mixed>  $section */
    protected function flag(array $section, string $key): ?bool
    {
        if (! array_key_exists($key, $section)) {
            return null;
        }
        if (! is_bool($section[$key])) {
            $this->refuse(
                'system.'.$key,
                self::shown($section[$key]).' was given; true or false is wanted',
            );

            return null;
        }

        return $section[$key];
    }

    /** @param  array<mixed>  $section */
    protected function text(array $section, string $key, string $path = ''): ?string
    {
        if (! array_key_exists($key, $section)) {
            return null;
        }
        if (! is_string($section[$key]) || $section[$key] === '' || strlen($section[$key]) > 120) {
            $this->refuse(
                $path.$key,
                self::shown($section[$key]).' was given; a text of 1 to 120 characters is wanted',
            );

            return null;
        }

        return $section[$key];
    }

    /**
     * @param  array<mixed>  $top
     * @return array<mixed>
     */
    protected function section(array $top, string $key, bool $required = false): array
    {
        if (! array_key_exists($key, $top)) {
            if ($required) {
                $this->refuse($key, 'missing; it is required');
            }

            return [];
        }
        if (! ($top[$key] instanceof \stdClass)) {
            $this->refuse($key, self::shown($top[$key]).' was given; an object is wanted');

            return [];
        }

        return get_object_vars($top[$key]);
    }

    /** @param  array<mixed>  $top */
    protected function constant(array $top, string $key, string|int $wanted): void
    {
        if (! array_key_exists($key, $top)) {
            $this->refuse($key, 'missing; it is required ('.$wanted.')');
        } elseif ($top[$key] !== $wanted) {
            $this->refuse($key, self::shown($top[$key]).' was given; '.$wanted.' is wanted');
        }
    }

    /**
     * @param  array<mixed>  $section
     * @param  list<string>  $known
     */
    protected function known(string $path, array $section, array $known): void
    {
        foreach (array_keys($section) as $key) {
            if (! in_array((string) $key, $known, true)) {
                $this->refuse($path.$key, 'unknown key'.self::nearest((string) $key, $known));
            }
        }
    }

    /** @param  list<string>  $known */
    protected static function nearest(string $key, array $known): string
    {
        $best = null;
        $least = 5;
        foreach ($known as $candidate) {
            $distance = levenshtein(substr($key, 0, 60), $candidate);
            if ($distance < $least) {
                $least = $distance;
                $best = $candidate;
            }
        }

        return $best === null ? '' : '; is '.$best.' meant?';
    }

    protected function refuse(string $path, string $reason): void
    {
        $this->reasons[] = (mb_strlen($path) > 120 ? mb_substr($path, 0, 120).'…' : $path).': '.$reason;
    }

    protected static function shown(mixed $given): string
    {
        $text = match (true) {
            is_string($given) => '"'.$given.'"',
            is_scalar($given) => (string) json_encode($given),
            $given === null => 'null',
            is_array($given) => 'a list',
            default => 'an object',
        };

        return mb_strlen($text) > 60 ? mb_substr($text, 0, 60).'…' : $text;
    }
}
