<?php

declare(strict_types=1);

namespace Metrum\Log;

/** What a fact says: about what, and what it is. */
final readonly class Content
{
    /**
     * @param  string  $key  what it is about, in the vocabulary of its kind
     * @param  ?float  $value  SI, gauge Pa for pressures
     * @param  ?string  $word  of the vocabulary of its key
     * @param  array<string, mixed>  $data  what its kind keeps besides
     */
    public function __construct(
        public string $key,
        public ?float $value = null,
        public ?string $word = null,
        public array $data = [],
    ) {
    }

    /**
     * The same, with more kept besides.
     *
     * @param  array<string, mixed>  $data
     */
    public function keeping(array $data): self
    {
        return new self($this->key, $this->value, $this->word, $data + $this->data);
    }

    /** A text of the data; empty where there is none. */
    public function text(string $name): string
    {
        $text = $this->data[$name] ?? '';

        return is_string($text) ? $text : '';
    }

    /** Says nothing any more: an answer that was taken back. */
    public function isCleared(): bool
    {
        return $this->value === null && $this->word === null && $this->data === [];
    }

    /** Whether it is the same; the order of its data does not matter. */
    public function says(self $other): bool
    {
        return $this->key === $other->key &&
            $this->word === $other->word &&
            self::same($this->value, $other->value) &&
            self::sorted($this->data) === self::sorted($other->data);
    }

    /** A store may keep fewer digits than a calculation has. */
    private static function same(?float $one, ?float $other): bool
    {
        return $one === null || $other === null
            ? $one === $other
            : abs($one - $other) <= 1e-9 * max(1.0, abs($one));
    }

    /**
     * @param  array<string, mixed>  $data
     * @return array<string, mixed>
     */
    private static function sorted(array $data): array
    {
        ksort($data);

        return $data;
    }
}
