<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Data\Section;

/** A photo or voice note of a visit, as its file names it: what it is of, where it lies, and its hash. */
final readonly class AttachmentLink
{
    private const KEYS = ['id', 'kind', 'about', 'of', 'caption', 'taken_at', 'sha256', 'address'];

    private const NEEDED = ['kind', 'sha256', 'address'];

    /** @param  array<string, string>  $told  by key; empty texts left out */
    private function __construct(private array $told)
    {
    }

    /**
     * @param  string  $kind  photo or voice
     * @param  string  $about  kind and key of the fact that it is of, and its part
     * @param  string  $sha256  of its bytes, hexadecimal
     */
    public static function of(
        string $id,
        string $kind,
        string $about,
        string $of,
        string $caption,
        string $takenAt,
        string $sha256,
        string $address,
    ): self {
        $told = [$id, $kind, $about, $of, $caption, $takenAt, $sha256, $address];

        return new self(array_filter(array_combine(self::KEYS, $told), static fn (string $one): bool => $one !== ''));
    }

    /** What is refused of it is said to the reasons of its file. */
    public static function read(Section $row): self
    {
        $row->only(self::KEYS);
        $told = [];
        foreach (self::KEYS as $key) {
            $text = $row->text($key);
            if ($text === null && in_array($key, self::NEEDED, true)) {
                $row->refuse($key, 'missing; it is required');
            }
            $told += $text === null ? [] : [$key => $text];
        }

        return new self($told);
    }

    /** @return array<string, string> as the file has it */
    public function toArray(): array
    {
        return $this->told;
    }
}
