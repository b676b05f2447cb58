<?php

namespace App\Models;

/** Lines of an offer or a price list, as people type them: "what; quantity; unit; price", or "what; unit; price". */
final readonly class PriceLines
{
    private const MOST_LINES = 60;

    private const MOST = 1_000_000.0;

    private const LONGEST = 80;

    /**
     * @param  list<PriceLine>  $lines
     * @param  list<string>  $wrong  what is wrong of which line
     */
    private function __construct(public array $lines, public array $wrong)
    {
    }

    public static function read(string $typed): self
    {
        $lines = $wrong = [];
        foreach (preg_split('/\R/', trim($typed)) ?: [] as $place => $text) {
            if (trim($text) === '') {
                continue;
            }
            $number = $place + 1;
            $line = $place < self::MOST_LINES ? self::line($text) : null;
            if ($line instanceof PriceLine) {
                $lines[] = $line;
            } else {
                $wrong[] = "Line $number: got “".mb_substr(trim($text), 0, 60).'”, expected “what; quantity; unit; '.
                    'price”, for example “Labour; 1.5; h; 78”.';
            }
        }

        return new self($lines, $wrong);
    }

    /** @param  list<PriceLine>  $lines */
    public static function of(array $lines): self
    {
        return new self($lines, []);
    }

    private static function line(string $text): ?PriceLine
    {
        $parts = array_map(trim(...), explode(';', $text));
        if (count($parts) === 3) {
            $parts = [$parts[0], '1', $parts[1], $parts[2]];
        }
        if (count($parts) !== 4 || $parts[0] === '' || mb_strlen($parts[0]) > self::LONGEST) {
            return null;
        }
        [$quantity, $price] = [self::number($parts[1]), self::number($parts[3])];

        return $quantity === null || $price === null
            ? null
            : new PriceLine($parts[0], $quantity, mb_substr($parts[2], 0, 12), (int) round(100 * $price));
    }

    private static function number(string $typed): ?float
    {
        $plain = str_replace(',', '.', str_replace([' ', '€', '$', '£'], '', $typed));

        return is_numeric($plain) && (float) $plain >= 0.0 && (float) $plain <= self::MOST ? (float) $plain : null;
    }

    /** Hundredths of the currency, before tax. */
    public function net(): int
    {
        return array_sum(array_map(static fn (PriceLine $one): int => $one->amount(), $this->lines));
    }

    public function total(float $taxPercent): int
    {
        return $this->net() + $this->tax($taxPercent);
    }

    public function tax(float $percent): int
    {
        return (int) round(($this->net() * $percent) / 100);
    }

    public function typed(): string
    {
        return implode("\n", array_map(static fn (PriceLine $one): string => $one->typed(), $this->lines));
    }
}
