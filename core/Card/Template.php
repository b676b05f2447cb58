<?php

declare(strict_types=1);

namespace Metrum\Card;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;

/** A sentence with values of the card in braces: "It fell {fall.difference_k}." */
final readonly class Template
{
    private const BRACES = '/\{([^{}]+)\}/';

    /** @param  array<string, Ref>  $refs  by what stands between the braces */
    private function __construct(private string $text, public array $refs)
    {
    }

    /** @throws BrokenData where a value is named that is none */
    public static function of(DataRow $row, string $key): self
    {
        $text = $row->text($key);
        $refs = [];
        preg_match_all(self::BRACES, $text, $found);
        foreach ($found[1] as $name) {
            $refs[$name] = Ref::inText($row, $key, $name);
        }

        return new self($text, $refs);
    }

    /** @param  callable(Ref): string  $said */
    public function filled(callable $said): string
    {
        return (string) preg_replace_callback(
            self::BRACES,
            fn (array $found): string => $said($this->refs[$found[1]]),
            $this->text,
        );
    }
}
