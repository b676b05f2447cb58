<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Circuit\Circuit;
use Metrum\Circuit\Refused;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\Ground;
use Metrum\Log\KindOfFact;
use Metrum\Log\NotAFact;
use Metrum\Log\Part;
use Metrum\Log\Said;
use Metrum\Quantity\Units;

/** The circuit's words or design values were changed while the visit was open: it is judged by them from then on. */
final readonly class CircuitChanged implements KindOfFact
{
    private const KEY = 'circuit';

    /**
     * @param  array<string, mixed>  $system  words of the visit file, with the atmosphere
     * @param  array<string, mixed>  $design
     *
     * @throws Refused where they are none
     */
    public static function to(array $system, array $design): Content
    {
        Circuit::fromWords($system, $design);

        return new Content(self::KEY, null, null, ['system' => $system, 'design' => $design]);
    }

    /** The circuit that a content says. @throws Refused where it was written by hand and is none */
    public static function circuit(Content $content): Circuit
    {
        $part = static function (string $name) use ($content): array {
            $given = $content->data[$name] ?? [];
            $words = [];
            foreach (is_array($given) ? $given : [] as $key => $value) {
                $words[(string) $key] = $value;
            }

            return $words;
        };

        return Circuit::fromWords($part('system'), $part('design'));
    }

    public function content(Said $said, Ground $ground): Content
    {
        throw NotAFact::because('A circuit is changed on its own page; its open visits follow.');
    }

    public function place(Fact $fact): string
    {
        return self::KEY;
    }

    public function line(Content $content, Units $units): string
    {
        return 'Circuit changed, now '.self::circuit($content)->refrigerant;
    }

    public function stale(Content $content): array
    {
        return Part::cases();
    }

    public function canBeTakenBack(): bool
    {
        return false;
    }
}
