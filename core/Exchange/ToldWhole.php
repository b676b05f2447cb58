<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Installation\DesignKey;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Taken;
use Metrum\Log\FactKind;
use Metrum\Log\Statement;

/** What a part of a line says as a whole, not word by word. */
final class ToldWhole
{
    private const PRESSURE_IN_DEGREES = '/^(suction|head)\s+[-−+]?\d+(?:[.,]\d+)?\s*°$/iu';

    private const SET_POINT =
        '/^(?:box\s+set(?:\s*point)?|set\s*point|set)\s*(?:is\s+|at\s+|to\s+)?[:=]?\s*(?<typed>';

    private const SET_POINT_END = '\s*(?:°?\s*[cf])?)(?![\p{L}\d])/iu';

    private const PERHAPS_AIR = 90.0;

    /**
     * Figures with two decimal signs, pressures in degrees: asked back, never cut where they are understood.
     *
     * @return ?list<Statement>
     */
    public static function unclear(string $part): ?array
    {
        if (preg_match('/\d[.,]\d+[.,]\d/u', $part) === 1) {
            return [Phrases::ask($part, 'which figure? Write 1.5 or 1,5.')];
        }
        if (preg_match(self::PRESSURE_IN_DEGREES, $part, $is) === 1) {
            return [Phrases::ask($part, "is that the $is[1] pressure in psi or bar, or the $is[1] line in degrees?")];
        }
        $air = preg_match('/^supply\s+(\d+)$/iu', $part, $is) === 1 ? (float) $is[1] : 0.0;

        return $air >= self::PERHAPS_AIR && $air < LineValue::NO_AIR
            ? [Phrases::ask($part, 'volts, or supply air? Write 100 V or 100 F.')]
            : null;
    }

    /**
     * "box set 35", "set point 2", "box 41f set 36f": what the box is set to. "set 2" alone is a move, read before.
     *
     * @return ?array{Statement, int} with how many bytes that takes
     */
    public static function setPoint(string $text): ?array
    {
        return preg_match(self::SET_POINT.LineValue::NUMBER.self::SET_POINT_END, $text, $is) === 1
            ? [new Statement(FactKind::Circuit, DesignKey::BoxSetPoint->value, trim($is['typed'])), strlen($is[0])]
            : null;
    }

    /**
     * "box from 15 to 3 in 40 min": how fast it fell, and where it is.
     *
     * @return list<Statement>
     */
    public static function fell(string $part): array
    {
        $number = '(-?\d+(?:[.,]\d+)?)';
        $pattern = "/^(?:box\s+|room\s+|pull-?down\s+)?from\s+$number\s*°?([cf])?\s+to\s+$number\s*°?([cf])?\s+".
            'in\s+(\d+(?:[.,]\d+)?)\s*(min(?:utes)?|m|h|hours?)?$/iu';
        if (preg_match($pattern, $part, $is, PREG_UNMATCHED_AS_NULL) !== 1) {
            return [];
        }
        $figure = static fn (string $typed): float => (float) str_replace(',', '.', $typed);
        $unit = strtoupper($is[4] ?? $is[2] ?? '');
        $hours = $figure($is[5]) / (str_starts_with(strtolower($is[6] ?? 'min'), 'h') ? 1.0 : 60.0);
        $rate = round(($figure($is[1]) - $figure($is[3])) / max(1e-6, $hours), 2);

        return [
            new Statement(FactKind::Reading, Reading::PullDownRate->value, $rate.($unit === '' ? '' : " $unit/h")),
            new Statement(FactKind::Reading, Reading::BoxTemperature->value, $is[3].($unit === '' ? '' : " $unit")),
        ];
    }

    /**
     * A reading with what it was taken, where that follows: "discharge 96 infrared".
     *
     * @return array{Statement, string} and what is left of the line
     */
    public static function withWhat(Statement $said, string $rest): array
    {
        $reading = $said->kind === FactKind::Reading ? Reading::tryFrom($said->key) : null;
        $taken = $reading === null || ! Taken::isSaidOf($reading) ? null : Taken::leading($rest);
        if ($taken === null) {
            return [$said, $rest];
        }
        [$with, $length] = $taken;

        return [$said->saying("$said->typed ".$with->typed()), ltrim(substr($rest, $length), " \t:=.")];
    }
}
