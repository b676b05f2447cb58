<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Findings;
use Metrum\Findings\StandingHead;
use Metrum\Knowledge\Reading;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Quantity\Magnitude;
use Metrum\Refrigerant\Library;
use Metrum\Refrigerant\OutsideTable;

/** Standing pressure against saturation at the air around: does the refrigerant fit, and which would (G-09)? */
final readonly class StandingPressure
{
    /** Pa abs below which nothing can be told. */
    private const LEAST = 150e3;

    /** K by which the own refrigerant may be off, and another one to be named. */
    private const OFF = 4.0;

    private const FITS = 1.5;

    private const MOST_NAMED = 4;

    public function __construct(private Findings $findings)
    {
    }

    public function contradiction(): ?Contradiction
    {
        $pressure = $this->standing();
        $ambient = $this->findings->reading(Reading::AmbientTemperature);
        $isNone = $pressure === null || StandingHead::areApart($this->findings);
        if ($isNone || $ambient === null || $pressure < self::LEAST) {
            return null;
        }
        $misses = self::misses($pressure, $ambient);
        $name = $this->findings->circuit->refrigerant;
        $own = $misses[$name] ?? INF;
        if ($own < self::OFF) {
            return null;
        }
        $fitting = array_keys(array_filter($misses, static fn (float $miss): bool => $miss < self::FITS));
        $off = is_finite($own)
            ? Sentence::of(Reason::OffBy, by: Magnitude::difference($own))
            : Sentence::of(Reason::Nothing);
        $would = $fitting === []
            ? Sentence::of(Reason::Nothing)
            : Sentence::of(
                Reason::WouldFit,
                refrigerants: implode(', ', array_slice($fitting, 0, self::MOST_NAMED)),
            );

        return new Contradiction(
            Sentence::of(Reason::StandingDoesNotFit, refrigerant: $name, off: $off, would: $would),
            [Reading::DischargePressure, Reading::AmbientTemperature],
            doubts: false,
        );
    }

    /** Pa abs of the high side, read while it stood still; null where it was not. */
    private function standing(): ?float
    {
        foreach ([Reading::ReceiverPressure, Reading::DischargePressure] as $reading) {
            if ($this->findings->reading($reading) !== null && $this->findings->wasOff($reading)) {
                return $this->findings->absolute($reading);
            }
        }

        return null;
    }

    /** @return array<string, float> K by which the air lies outside bubble and dew, by refrigerant, least first */
    private static function misses(float $pressure, float $ambient): array
    {
        $misses = [];
        foreach (Library::known()->names() as $name) {
            $fluid = Library::known()->get($name);
            try {
                $bubble = $fluid->bubbleTemperature($pressure);
                $misses[$name] = max(0.0, $bubble - $ambient, $ambient - $fluid->dewTemperature($pressure));
            } catch (OutsideTable) {
                continue;
            }
        }
        asort($misses);

        return $misses;
    }
}
