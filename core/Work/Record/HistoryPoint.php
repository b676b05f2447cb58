<?php

declare(strict_types=1);

namespace Metrum\Work\Record;

use Metrum\Diagnosis\Gates;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Signals;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Twin\Expectation;
use Metrum\Twin\Ice\IceExpectation;
use Metrum\Twin\TwinExpectation;
use Metrum\Twin\Twins;

/** What was read at one moment of a visit, as found or as left, each figure beside what was expected of it. */
final readonly class HistoryPoint
{
    /**
     * @param  float  $at  s since 1970
     * @param  ?float  $ambient  K; null where nobody read it
     * @param  array<string, Departure>  $departures  by key of HistoryFigure
     */
    public function __construct(public float $at, public ?float $ambient, public array $departures)
    {
    }

    /** Null where nothing was read of which the twin expects anything. */
    public static function read(float $at, Findings $findings, HouseRules $rules, Twins $twins): ?self
    {
        $expected = $twins->expectation($findings, $rules);
        if (! $expected instanceof TwinExpectation && ! $expected instanceof IceExpectation) {
            return null;
        }
        $figures = Figures::of($findings, $rules);
        $isSettled = (new Gates($findings, $figures, $rules))->settled()->isOpen();
        $signals = new Signals($findings, $figures, $expected->yardstick());
        $departures = [];
        foreach (HistoryFigure::cases() as $figure) {
            $one = $figure->row()->isSettled && ! $isSettled ? null : self::departure($figure, $signals, $expected);
            $departures += $one === null ? [] : [$figure->value => $one];
        }

        return $departures === []
            ? null
            : new self($at, $findings->reading(Reading::AmbientTemperature), $departures);
    }

    private static function departure(HistoryFigure $figure, Signals $signals, Expectation $expected): ?Departure
    {
        foreach ($figure->row()->signs as $sign) {
            $value = $signals->measured($sign);
            $healthy = $value === null ? null : $expected->healthy($sign);
            if ($value !== null && $healthy !== null) {
                return new Departure($value, $healthy->value, $healthy->deviation);
            }
        }

        return null;
    }
}
