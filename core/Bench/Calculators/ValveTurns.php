<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\CannotBe;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** How far a valve is still to turn, by the line through what its turns did so far. */
final class ValveTurns implements Calculation
{
    /** K a turn below which a valve does not answer. */
    private const ANSWERS = 1e-6;

    public function asks(): array
    {
        return [
            Input::number(
                'turns_open',
                'Turns open, running total (+ = open)',
                QuantityKind::Turns,
                -40.0,
                40.0,
            )->several(2),
            Input::difference('superheat_k', 'Superheat, settled', -30.0)->several(2),
            Input::difference('target_superheat_k', 'Target superheat'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $turns = $given->series('turns_open');
        $superheat = $given->series('superheat_k');
        Series::alike('turns_open', $turns, 'superheat_k', $superheat);
        [$slope, $intercept] = self::line($turns, $superheat);
        if (abs($slope) < self::ANSWERS) {
            throw CannotBe::at('superheat_k', 'does not change with the turns: the valve does not respond');
        }
        $made = end($turns);
        $further = ($given->of('target_superheat_k') - $intercept) / $slope - $made;

        return new Answer(
            [
                Output::amount('slope_k_per_turn', 'Change per turn', QuantityKind::Difference, $slope, per: 'turn'),
                Output::difference('intercept_k', 'At zero turns', $intercept),
                Output::amount('further_turns', 'Turns to target (+ = open)', QuantityKind::Turns, $further),
            ],
            [
                "Best straight line: {$given->kelvins($intercept)} at zero turns, ".
                    "{$given->kelvins($slope)} per turn.",
                sprintf(
                    '%s is reached at %s turns: %s made, %s to go.',
                    $given->kelvins($given->of('target_superheat_k')),
                    $given->number($made + $further),
                    $given->number($made),
                    $given->number($further),
                ),
                'Half a turn at most per adjustment, then wait until settled.',
            ],
        );
    }

    /**
     * Least squares.
     *
     * @param  list<float>  $turns
     * @param  list<float>  $superheat  K
     * @return array{float, float} K a turn, K at no turns
     *
     * @throws CannotBe where all points stand at one place
     */
    private static function line(array $turns, array $superheat): array
    {
        $n = count($turns);
        $turnsMean = array_sum($turns) / $n;
        $superheatMean = array_sum($superheat) / $n;
        $together = $squared = 0.0;
        foreach ($turns as $i => $turn) {
            $together += ($turn - $turnsMean) * ($superheat[$i] - $superheatMean);
            $squared += ($turn - $turnsMean) ** 2;
        }
        if ($squared < 1e-12) {
            throw CannotBe::at('turns_open', 'no difference; enter two different valve positions');
        }

        return [$together / $squared, $superheatMean - ($together / $squared) * $turnsMean];
    }
}
