<?php

declare(strict_types=1);

namespace Metrum\Card;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Installation\DesignKey;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\Reading;

/** A value that a card asks for by name: "cold_pressure", "trace.values", "rule:drier_drop.high", "reading:…". */
final readonly class Ref
{
    /**
     * @param  string  $part  behind the dot: an output of a figure, an end of a band
     * @param  ?self  $otherwise  where this one is not known
     */
    private function __construct(
        public Origin $origin,
        public string $name,
        public string $part = '',
        public float $number = 0.0,
        public ?self $otherwise = null,
    ) {
    }

    /** One name, a number, or a list of names of which the first that is known counts. @throws BrokenData */
    public static function of(DataRow $row, string $key): self
    {
        $given = $row->given($key);
        $ref = null;
        foreach (array_reverse(is_array($given) ? array_values($given) : [$given]) as $one) {
            $ref = self::one($row, $key, $one, $ref);
        }

        return $ref ?? throw $row->broken($key, 'names nothing');
    }

    /** @throws BrokenData where it names nothing */
    private static function one(DataRow $row, string $key, mixed $given, ?self $otherwise): self
    {
        if (is_int($given) || is_float($given)) {
            return new self(Origin::Number, '', '', (float) $given);
        }
        $text = is_string($given) ? $given : throw $row->broken($key, 'expected a name or a number');
        [$origin, $rest] = str_contains($text, ':') ? explode(':', $text, 2) : [Origin::Step->value, $text];
        $from = Origin::tryFrom($origin);
        [$name, $part] = [...explode('.', $rest, 2), ''];
        $ref = $from === null ? null : new self($from, $name, $part, 0.0, $otherwise);

        return $ref?->isKnown() === true ? $ref : throw $row->broken($key, "\"$text\" names nothing");
    }

    /** As it stands in a sentence, between braces. @throws BrokenData */
    public static function inText(DataRow $row, string $key, string $text): self
    {
        return self::one($row, $key, $text, null);
    }

    /** Steps are looked up by the card, figures by whoever answers. */
    private function isKnown(): bool
    {
        $isEnd = in_array($this->part, ['low', 'high', 'middle'], true);

        return match ($this->origin) {
            Origin::Reading => Reading::tryFrom($this->name) !== null,
            Origin::Rule => HouseRule::tryFrom($this->name) !== null && $isEnd,
            Origin::Wanted => Control::tryFrom($this->name) !== null && $isEnd,
            Origin::Design => DesignKey::tryFrom($this->name) !== null,
            Origin::School => HouseRule::tryFrom($this->name) !== null,
            Origin::Plant => in_array($this->name, ['blend', 'glides'], true),
            Origin::Search => in_array($this->name, ['left', 'next', 'places'], true),
            Origin::Between => $this->name !== '' && $this->part !== '',
            Origin::Step, Origin::Figure, Origin::Expected => $this->name !== '',
            Origin::Number => true,
        };
    }
}
