<?php

declare(strict_types=1);

namespace Metrum\Data;

/** An object in a file under data/, read with its types; whatever is not as it must be is named with file and path. */
final readonly class DataRow
{
    /**
     * @param  string  $file  below the project
     * @param  array<mixed>  $values
     * @param  string  $at  path of the object in the file, with its dot behind
     */
    public function __construct(private string $file, private array $values, private string $at = '')
    {
    }

    /** @return list<string> */
    public function keys(): array
    {
        return array_map(strval(...), array_keys($this->values));
    }

    /** @return array<mixed> as it was read, for what checks itself */
    public function all(): array
    {
        return $this->values;
    }

    public function has(string $key): bool
    {
        return isset($this->values[$key]);
    }

    public function given(string $key): mixed
    {
        return $this->values[$key] ?? null;
    }

    /** @throws BrokenData where it is no text */
    public function text(string $key): string
    {
        $given = $this->values[$key] ?? null;

        return is_string($given) ? $given : throw $this->broken($key, 'expected a text');
    }

    /** @throws BrokenData where it is no number */
    public function number(string $key, ?float $otherwise = null): float
    {
        $given = $this->values[$key] ?? $otherwise;

        return is_int($given) || is_float($given)
            ? (float) $given
            : throw $this->broken($key, 'expected a number');
    }

    /** @throws BrokenData where it is neither true nor false */
    public function flag(string $key, ?bool $otherwise = null): bool
    {
        $given = $this->values[$key] ?? $otherwise;

        return is_bool($given) ? $given : throw $this->broken($key, 'expected true or false');
    }

    /**
     * @return list<string>
     *
     * @throws BrokenData where it is no list of texts
     */
    public function texts(string $key): array
    {
        $texts = [];
        foreach ($this->array($key) as $i => $given) {
            $texts[] = is_string($given) ? $given : throw $this->broken($key.'.'.$i, 'expected a text');
        }

        return $texts;
    }

    /**
     * @return array<string, float>
     *
     * @throws BrokenData where it is no object of numbers
     */
    public function numbers(string $key): array
    {
        return $this->row($key)->allNumbers();
    }

    /**
     * @return array<string, float> the whole row
     *
     * @throws BrokenData where anything in it is no number
     */
    public function allNumbers(): array
    {
        $numbers = [];
        foreach ($this->keys() as $name) {
            $numbers[$name] = $this->number($name);
        }

        return $numbers;
    }

    /**
     * @return array{float, float}
     *
     * @throws BrokenData where it is no pair of numbers, the lower first
     */
    public function span(string $key): array
    {
        [$least, $most] = [...array_values($this->array($key)), null, null];
        if ((! is_int($least) && ! is_float($least)) || (! is_int($most) && ! is_float($most)) || $least > $most) {
            throw $this->broken($key, 'expected two numbers, lower first');
        }

        return [(float) $least, (float) $most];
    }

    /**
     * @return array{?float, ?float} null where nothing bounds it
     *
     * @throws BrokenData where it is no pair of numbers or nulls
     */
    public function bounds(string $key): array
    {
        $bounds = [];
        foreach (array_values($this->array($key)) as $one) {
            if ($one !== null && ! is_int($one) && ! is_float($one)) {
                throw $this->broken($key, 'expected two numbers, or null where nothing bounds it');
            }
            $bounds[] = $one === null ? null : (float) $one;
        }

        return count($bounds) === 2 ? $bounds : throw $this->broken($key, 'expected two');
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     *
     * @throws BrokenData where it is none of its words
     */
    public function word(string $key, string $enum): \BackedEnum
    {
        return $this->wordOf($key, $this->values[$key] ?? null, $enum);
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return list<T>
     *
     * @throws BrokenData where it is no list of its words
     */
    public function words(string $key, string $enum): array
    {
        $words = [];
        foreach ($this->array($key) as $i => $given) {
            $words[] = $this->wordOf($key.'.'.$i, $given, $enum);
        }

        return $words;
    }

    /** The object below a key; an empty one where there is none. @throws BrokenData where it is no object */
    public function row(string $key): self
    {
        return new self($this->file, $this->array($key), $this->at.$key.'.');
    }

    /** @return list<self> the objects of the list below a key @throws BrokenData where one is no object */
    public function rows(string $key): array
    {
        $list = $this->row($key);

        return array_map($list->row(...), $list->keys());
    }

    /**
     * What JSON says there, as it stands.
     *
     * @return array<string, mixed>
     *
     * @throws BrokenData where it is no object
     */
    public function object(string $key): array
    {
        $object = [];
        foreach ($this->array($key) as $name => $value) {
            $object[(string) $name] = $value;
        }

        return $object;
    }

    /**
     * @param  list<string>  $known
     *
     * @throws BrokenData where another key stands there
     */
    public function only(array $known): self
    {
        foreach ($this->keys() as $key) {
            if (! in_array($key, $known, true)) {
                throw $this->broken($key, 'unknown key; known are '.implode(', ', $known));
            }
        }

        return $this;
    }

    public function broken(string $key, string $reason): BrokenData
    {
        return BrokenData::at($this->file.': '.$this->at.$key, $reason);
    }

    /** @return array<mixed> */
    private function array(string $key): array
    {
        $given = $this->values[$key] ?? [];

        return is_array($given) ? $given : throw $this->broken($key, 'expected a list or an object');
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     */
    private function wordOf(string $key, mixed $given, string $enum): \BackedEnum
    {
        $case = is_string($given) ? $enum::tryFrom($given) : null;
        if ($case === null) {
            $shown = is_string($given) ? $given : get_debug_type($given);
            $words = implode(', ', array_column($enum::cases(), 'value'));

            throw $this->broken($key, 'got '.$shown.', expected one of: '.$words);
        }

        return $case;
    }
}
