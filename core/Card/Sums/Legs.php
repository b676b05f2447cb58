<?php

declare(strict_types=1);

namespace Metrum\Card\Sums;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/**
 * What three line currents of resistance heaters tell, as shares of the rated one: one at 0 and two at 0.87 is an open
 * supply line or leg of a star; two at 0.58 and one at 1 is an open element of a delta (both follow from the currents
 * of a balanced load, √3/2 and 1/√3).
 */
final class Legs implements Calculation
{
    /** Shares of the rated current below which a line carries none, and within which a share is met. */
    private const NONE = 0.1;

    private const NEAR = 0.09;

    public function asks(): array
    {
        return [
            Input::number('first_a', 'Line 1', QuantityKind::Current, 0.0, 1000.0),
            Input::number('second_a', 'Line 2', QuantityKind::Current, 0.0, 1000.0),
            Input::number('third_a', 'Line 3', QuantityKind::Current, 0.0, 1000.0),
            Input::number('rated_a', 'Rated current per phase', QuantityKind::Current, 0.1, 1000.0),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $rated = $given->of('rated_a');
        $shares = [$given->of('first_a') / $rated, $given->of('second_a') / $rated, $given->of('third_a') / $rated];
        sort($shares);
        [$pattern, $heat, $said] = match (true) {
            $shares[2] < self::NONE => ['none', 0.0, 'No current on any phase.'],
            self::are($shares, 0.0, sqrt(3) / 2, sqrt(3) / 2) => [
                'leg_open',
                0.5,
                'One phase without current, the others 87 %: a supply phase or a leg is open; heating at 50 %.',
            ],
            self::are($shares, 1 / sqrt(3), 1 / sqrt(3), 1.0) => [
                'element_open',
                2 / 3,
                'Two phases at 58 %, one at 100 %: a delta element is open; heating at 67 %.',
            ],
            self::are($shares, 1.0, 1.0, 1.0) => ['whole', 1.0, 'All phases at rated current.'],
            default => ['other', null, 'No single open part explains this: measure voltage and each element.'],
        };

        return new Answer(
            [
                Output::word('pattern', 'Pattern', $pattern),
                Output::percent('least_percent', 'Lowest, % of rated', $shares[0]),
                Output::percent('most_percent', 'Highest, % of rated', $shares[2]),
                Output::percent('heat_percent', 'Heating left', $heat),
            ],
            [$said],
        );
    }

    /** @param  list<float>  $shares  lowest first */
    private static function are(array $shares, float $low, float $middle, float $high): bool
    {
        foreach ([$low, $middle, $high] as $i => $wanted) {
            if (abs($shares[$i] - $wanted) > self::NEAR) {
                return false;
            }
        }

        return true;
    }
}
