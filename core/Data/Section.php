<?php

declare(strict_types=1);

namespace Metrum\Data;

use Metrum\Quantity\Field;

/** An object of a document from outside, read strictly: what is unknown, of a wrong type or impossible is named. */
final readonly class Section
{
    private const LONGEST_TEXT = 120;

    /**
     * @param  string  $path  with its dot behind, empty for the whole
     * @param  array<mixed>  $values
     */
    public function __construct(private string $path, private array $values, private Reasons $reasons)
    {
    }

    /**
     * Only these keys may stand here.
     *
     * @param  list<string>  $known
     */
    public function only(array $known): void
    {
        foreach ($this->keys() as $key) {
            if (! in_array($key, $known, true)) {
                $this->refuse($key, 'unknown key'.self::nearest($key, $known));
            }
        }
    }

    /** @return list<string> */
    public function keys(): array
    {
        return array_map(strval(...), array_keys($this->values));
    }

    public function has(string $key): bool
    {
        return array_key_exists($key, $this->values);
    }

    public function given(string $key): mixed
    {
        return $this->values[$key] ?? null;
    }

    /**
     * One of some words; refused at the key where it is none of them.
     *
     * @template T of \BackedEnum
     *
     * @param  list<T>  $possible
     * @return T|null
     */
    public function oneOf(string $key, array $possible, mixed $given): ?\BackedEnum
    {
        foreach ($possible as $word) {
            if ($word->value === $given) {
                return $word;
            }
        }
        $words = implode(', ', array_column($possible, 'value'));
        $this->refuse($key, 'got '.Reasons::shown($given).'; allowed: '.$words);

        return null;
    }

    public function refuse(string $key, string $reason): void
    {
        $this->reasons->refuse($this->path.$key, $reason);
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T|null null where it is not there, or refused
     */
    public function word(string $key, string $enum): ?\BackedEnum
    {
        return $this->has($key) ? $this->wordOf($key, $this->given($key), $enum) : null;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return list<T>
     */
    public function words(string $key, string $enum): array
    {
        $given = $this->given($key) ?? ($this->has($key) ? null : []);
        if (! is_array($given)) {
            $this->refuse($key, 'got '.Reasons::shown($given).', expected a list of words');

            return [];
        }
        $words = [];
        foreach (array_values($given) as $i => $one) {
            $case = $this->wordOf($key.'.'.$i, $one, $enum);
            if ($case !== null && ! in_array($case, $words, true)) {
                $words[] = $case;
            }
        }

        return $words;
    }

    /** In the unit in which it stands. */
    public function number(string $key): ?float
    {
        $given = $this->given($key);
        if (! $this->has($key)) {
            return null;
        }
        if ((! is_int($given) && ! is_float($given)) || ! is_finite((float) $given)) {
            $this->refuse($key, 'got '.Reasons::shown($given).', expected a number');

            return null;
        }

        return (float) $given;
    }

    /**
     * What stands in its `data`, or below a key of it; empty where there is no such object.
     *
     * @return array<string, mixed>
     */
    public function besides(string $key): array
    {
        $given = $this->values['data'] ?? null;
        if ($key !== '') {
            $given = $given instanceof \stdClass ? $given->{$key} ?? null : null;
        }
        $besides = [];
        foreach ($given instanceof \stdClass ? get_object_vars($given) : [] as $name => $value) {
            $besides[(string) $name] = $value;
        }

        return $besides;
    }

    /** SI; null where it is not there, or refused. */
    public function amount(string $key, Field $field): ?float
    {
        $given = $this->number($key);
        if ($given === null) {
            return null;
        }
        $si = $field->fileUnit()->toSi($given);
        $refusal = $field->refusal($si);
        if ($refusal !== null) {
            $this->refuse($key, 'got '.Reasons::shown($this->given($key)).'; '.$refusal);
        }

        return $refusal === null ? $si : null;
    }

    public function flag(string $key): ?bool
    {
        $given = $this->given($key);
        if (is_bool($given) || ! $this->has($key)) {
            return is_bool($given) ? $given : null;
        }
        $this->refuse($key, 'got '.Reasons::shown($given).', expected true or false');

        return null;
    }

    public function text(string $key): ?string
    {
        $given = $this->given($key);
        if (! $this->has($key)) {
            return null;
        }
        if (! is_string($given) || $given === '' || strlen($given) > self::LONGEST_TEXT) {
            $wanted = ', expected a text of 1 to '.self::LONGEST_TEXT.' characters';
            $this->refuse($key, 'got '.Reasons::shown($given).$wanted);

            return null;
        }

        return $given;
    }

    /** The object below a key; an empty one where there is none. */
    public function section(string $key, bool $required = false): self
    {
        $given = $this->given($key);
        if ($required && ! $this->has($key)) {
            $this->refuse($key, 'missing (required)');
        } elseif ($this->has($key) && ! ($given instanceof \stdClass)) {
            $this->refuse($key, 'got '.Reasons::shown($given).', expected an object');
        }
        $values = $given instanceof \stdClass ? get_object_vars($given) : [];

        return new self($this->path.$key.'.', $values, $this->reasons);
    }

    /** @return list<self> the objects of the list below a key; none where there is none */
    public function rows(string $key): array
    {
        $given = $this->given($key) ?? [];
        if (! is_array($given)) {
            $this->refuse($key, 'got '.Reasons::shown($given).', expected a list of objects');

            return [];
        }
        $rows = [];
        foreach (array_values($given) as $i => $one) {
            if ($one instanceof \stdClass) {
                $rows[] = new self("$this->path$key.$i.", get_object_vars($one), $this->reasons);
            } else {
                $this->refuse("$key.$i", 'got '.Reasons::shown($one).', expected an object');
            }
        }

        return $rows;
    }

    public function constant(string $key, string|int $wanted): void
    {
        if (! $this->has($key)) {
            $this->refuse($key, 'missing (required: '.$wanted.')');
        } elseif ($this->given($key) !== $wanted) {
            $this->refuse($key, 'got '.Reasons::shown($this->given($key)).', expected '.$wanted);
        }
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T|null
     */
    private function wordOf(string $key, mixed $given, string $enum): ?\BackedEnum
    {
        $case = is_string($given) ? $enum::tryFrom($given) : null;
        if ($case === null) {
            $possible = implode(', ', array_column($enum::cases(), 'value'));
            $this->refuse($key, 'got '.Reasons::shown($given).'; allowed: '.$possible);
        }

        return $case;
    }

    /** @param  list<string>  $known */
    private static function nearest(string $key, array $known): string
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

        return $best === null ? '' : '; did you mean '.$best.'?';
    }
}
