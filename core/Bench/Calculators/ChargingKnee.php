<?php

declare(strict_types=1);

namespace Metrum\Bench\Calculators;

use Metrum\Bench\Answer;
use Metrum\Bench\Calculation;
use Metrum\Bench\Input;
use Metrum\Bench\Inputs;
use Metrum\Bench\Output;
use Metrum\Quantity\QuantityKind;

/** Where superheat stops and subcooling rises: from there on refrigerant only fills the condenser. */
final class ChargingKnee implements Calculation
{
    public function asks(): array
    {
        return [
            Input::number('added_kg', 'Added, running total', QuantityKind::Mass, 0.0, 100_000.0)->several(3),
            Input::difference('superheat_k', 'Superheat', -30.0)->several(3),
            Input::difference('subcooling_k', 'Subcooling', -50.0)->several(3),
            Input::difference('steady_band_k', 'Superheat steady within'),
            Input::difference('rising_step_k', 'Subcooling rises by more than'),
        ];
    }

    public function answer(Inputs $given): Answer
    {
        $added = $given->series('added_kg');
        $superheat = $given->series('superheat_k');
        $subcooling = $given->series('subcooling_k');
        Series::inStep('added_kg', $added, 'superheat_k', $superheat);
        Series::alike('added_kg', $added, 'subcooling_k', $subcooling);
        $knee = self::entry(
            $superheat,
            $subcooling,
            $given->of('steady_band_k'),
            $given->of('rising_step_k'),
        );
        if ($knee === null) {
            return self::told(
                null,
                null,
                null,
                'No knee yet: superheat is never steady over two steps while subcooling rises in both.',
            );
        }
        $at = $added[$knee];
        $back = end($added) - $at;

        return self::told(
            (float) $knee,
            $at,
            $back,
            sprintf(
                'From entry %d superheat levels off (%s) while subcooling rises.',
                $knee + 1,
                $given->kelvins($superheat[$knee]),
            ),
            "Full charge at {$given->kilograms($at)} added; the rest only filled the condenser.",
            "Recover {$given->kilograms($back)}.",
        );
    }

    private static function told(?float $knee, ?float $at, ?float $back, string ...$steps): Answer
    {
        return new Answer(
            [
                Output::amount('knee_index', 'Knee at entry (the first is 0)', QuantityKind::Count, $knee),
                Output::mass('knee_added_kg', 'Added at the knee', $at),
                Output::mass('to_take_back_from_last_kg', 'To recover', $back),
            ],
            array_values($steps),
        );
    }

    /**
     * First entry after which, for two steps, superheat stands and subcooling rises; null where there is none.
     *
     * @param  list<float>  $superheat  K
     * @param  list<float>  $subcooling  K
     * @param  float  $band  K within which superheat stands
     * @param  float  $rise  K by which subcooling rises more
     */
    public static function entry(array $superheat, array $subcooling, float $band, float $rise): ?int
    {
        $turns = static fn (int $i): bool => abs($superheat[$i + 1] - $superheat[$i]) < $band &&
            $rise < $subcooling[$i + 1] - $subcooling[$i];
        for ($i = 0, $last = count($superheat) - 3; $i <= $last; $i++) {
            if ($turns($i) && $turns($i + 1)) {
                return $i;
            }
        }

        return null;
    }
}
