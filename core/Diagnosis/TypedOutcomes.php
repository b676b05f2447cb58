<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Findings\Signals;
use Metrum\Findings\Yardstick;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\QuantityKind;

/**
 * The ends of a check's outcomes in what is typed for it: where a pressure gives a TD, the pressure at which the TD is
 * what the end says.
 *
 * Signs are nearly straight in a temperature and in the logarithm of a pressure, so a few steps of the secant find it.
 */
final readonly class TypedOutcomes
{
    private const STEPS = 8;

    /** K, or the like, by which the end found may miss. */
    private const CLOSE = 0.02;

    /** Pa abs and K from which the search begins. */
    private const LOW_SIDE = [250e3, 450e3];

    private const HIGH_SIDE = [900e3, 1800e3];

    private const PIPES = [275.0, 300.0];

    public function __construct(private Findings $findings, private HouseRules $rules, private Yardstick $by)
    {
    }

    /** The one reading that a check takes; null where it takes several, or none. */
    public static function reading(Check $check): ?Reading
    {
        return $check->sign !== null && count($check->readings) === 1 ? $check->readings[0] : null;
    }

    /**
     * Ends of an outcome as they would be typed, SI.
     *
     * @return ?array{?float, ?float} null where they cannot be told
     */
    public function ends(Check $check, CheckOutcome $outcome): ?array
    {
        $reading = self::reading($check);
        if ($reading === null || $check->sign === null) {
            return null;
        }
        $from = $outcome->from === null ? null : $this->solve($check->sign, $reading, $outcome->from);
        $to = $outcome->to === null ? null : $this->solve($check->sign, $reading, $outcome->to);
        if (($outcome->from !== null && $from === null) || ($outcome->to !== null && $to === null)) {
            return null;
        }

        return $this->rises($check->sign, $reading) ? [$from, $to] : [$to, $from];
    }

    private function rises(Sign $sign, Reading $reading): bool
    {
        [$low, $high] = self::start($reading);

        return ($this->sign($sign, $reading, $low) ?? 0.0) <= ($this->sign($sign, $reading, $high) ?? 0.0);
    }

    private function solve(Sign $sign, Reading $reading, float $end): ?float
    {
        [$x, $y] = self::start($reading);
        $atX = $this->sign($sign, $reading, $x);
        $atY = $this->sign($sign, $reading, $y);
        for ($step = 0; $step < self::STEPS; $step++) {
            if ($atX === null || $atY === null || abs($atY - $atX) < 1e-9) {
                return null;
            }
            if (abs($atY - $end) < self::CLOSE) {
                return $this->typed($reading, $y);
            }
            [$x, $atX, $y] = [$y, $atY, $y + (($end - $atY) * ($y - $x)) / ($atY - $atX)];
            $atY = $this->sign($sign, $reading, $y);
        }

        return null;
    }

    /** The sign where the reading is at a place of the search. */
    private function sign(Sign $sign, Reading $reading, float $x): ?float
    {
        $typed = $this->typed($reading, $x);
        if (
            ! is_finite($typed) ||
            $reading->field($this->findings->circuit->atmosphere)->refusal($typed) !== null
        ) {
            return null;
        }
        $findings = $this->findings->with($reading, $typed);

        return (new Signals($findings, Figures::of($findings, $this->rules), $this->by))->measured($sign);
    }

    /** @return array{float, float} */
    private static function start(Reading $reading): array
    {
        $isHigh = in_array($reading, [Reading::DischargePressure, Reading::ReceiverPressure], true);

        return $reading->quantity() === QuantityKind::GaugePressure
            ? array_map(log(...), $isHigh ? self::HIGH_SIDE : self::LOW_SIDE)
            : self::PIPES;
    }

    private function typed(Reading $reading, float $x): float
    {
        return $reading->quantity() === QuantityKind::GaugePressure
            ? exp($x) - $this->findings->circuit->atmosphere->pascal
            : $x;
    }
}
