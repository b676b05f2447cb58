<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Knowledge\ChargePurpose;
use Metrum\Knowledge\Control;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\WeighedAmount;
use Metrum\Work\Assessment;

/**
 * How much refrigerant is in a plant by weights alone, kg: what was weighed counts before what the twin guesses.
 *
 * A plant that was emptied at this visit, or is charged for the first time, holds what went in since: that is exact.
 * Else it holds at least what went in at this visit, and at most what the book says with that on top, since a book
 * never knows what leaked out since.
 */
final readonly class WeighedCharge
{
    /** Cards that leave a plant empty, with the word of their end: "card.step word". */
    private const EMPTIED = ['recovery.done done', 'evacuation.done holds', 'charge_by_weight.empty evacuated'];

    /** Share of what is known exactly by which a scale, hoses and oil leave it off. */
    private const SCALE = 0.02;

    private function __construct(public ?float $exact, public float $least, public ?float $most)
    {
    }

    /**
     * @param  ?float  $book  kg in by the book when the visit was opened; null where nobody knows
     * @param  int  $until  number of the chapter at whose end it is asked
     */
    public static function of(Assessment $assessment, ?float $book, int $until = PHP_INT_MAX): self
    {
        $exact = null;
        $added = 0.0;
        $chapter = 1;
        foreach ($assessment->log->happened() as $fact) {
            $chapter += $fact->kind === FactKind::Move ? 1 : 0;
            if ($chapter > $until) {
                break;
            }
            if (self::empties($fact)) {
                $exact = 0.0;
            }
            $moved = self::moved($fact);
            if ($moved === null) {
                continue;
            }
            $isFirst = WeighedAmount::in($fact->content)->purpose === ChargePurpose::Commissioning && $moved > 0.0;
            $exact = $isFirst ? ($exact ?? 0.0) + $moved : ($exact === null ? null : $exact + $moved);
            $added += $moved;
        }

        return new self(
            $exact === null ? null : max(0.0, $exact),
            max(0.0, $added),
            $book === null ? null : max(0.0, $book + $added),
        );
    }

    private static function empties(Fact $fact): bool
    {
        return $fact->kind === FactKind::Card &&
            in_array($fact->content->key.' '.$fact->content->word, self::EMPTIED, true);
    }

    /** kg that a fact moved; null where it moved none. */
    private static function moved(Fact $fact): ?float
    {
        return $fact->kind === FactKind::Move && $fact->content->key === Control::Charge->value
            ? $fact->content->value ?? 0.0
            : null;
    }

    /** Whether weights say anything of it. */
    public function isKnown(): bool
    {
        return $this->exact !== null || $this->most !== null || $this->least > 0.0;
    }

    /** What is in, by weights, and within them by what the twin thinks (kg). */
    public function among(float $forecasts): float
    {
        return $this->exact ?? max($this->least, min($this->most ?? INF, $forecasts));
    }

    /** How well so many kg agree with the weights: the logarithm of a chance. */
    public function speaks(float $kilograms): float
    {
        $wanted = $this->among($kilograms);
        $width = self::SCALE * max(1e-3, $wanted);

        return -(($kilograms - $wanted) / $width) ** 2 / 2;
    }
}
