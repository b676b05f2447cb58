<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Effort;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Question;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Taking;
use Metrum\Circuit\Test;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Plant\Expectation;
use Metrum\Plant\Expected;

/**
 * Ranks what has not been looked at yet by the information it is expected to bring (bits) for its minutes and its
 * risk.
 */
final readonly class NextChecks
{
    /**
     * The first hose costs refrigerant and risks the core: while none is on, looking and clamping come first
     * (minutes).
     */
    private const FIRST_HOSE = 14.0;

    /** Bits below which a check is not worth naming. */
    private const LEAST_GAIN = 0.004;

    /** Chance below which an outcome is not named. */
    private const LEAST_CHANCE = 0.02;

    /** Deviations from the healthy value at which high and low begin. */
    private const BEYOND = 1.6;

    private Foresight $foresight;

    private bool $hosesOn;

    public function __construct(
        private Findings $findings,
        Weighing $weighing,
        private Expectation $expectation,
    ) {
        $this->hosesOn =
            $findings->reading(Reading::SuctionPressure) !== null ||
            $findings->reading(Reading::DischargePressure) !== null;
        $this->foresight = new Foresight($weighing);
    }

    /** @return list<Check> best first, one for each thing that is entered first */
    public function ranked(int $most): array
    {
        $checks = [];
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            $known =
                $asked instanceof Observation
                    ? $this->findings->observed($asked)
                    : $this->findings->tested($asked);
            if ($known === null && $asked->taking()->fit->asks($this->findings->circuit)) {
                $checks[] = $this->ofQuestion($asked);
            }
        }
        foreach (Sign::cases() as $sign) {
            $checks[] = $this->ofSign($sign);
        }
        $worthy = array_filter(
            $checks,
            static fn (?Check $one): bool => $one !== null && $one->gain >= self::LEAST_GAIN,
        );
        usort($worthy, static fn (Check $a, Check $b): int => $b->worth <=> $a->worth);
        $first = [];
        foreach ($worthy as $check) {
            $first[$check->key->value] ??= $check;
        }

        return array_slice(array_values($first), 0, $most);
    }

    private function ofQuestion(Question $asked): Check
    {
        $columns = $outcomes = [];
        foreach ($asked->words() as $word) {
            $columns[] = $this->foresight->hypotheses->chances($asked, $word);
        }
        [$prospects, $gain] = $this->foresight->assess($columns, $asked->row()->family);
        foreach ($prospects as $i => $prospect) {
            $outcomes[] = new Outcome($asked->words()[$i], null, null, $prospect);
        }
        $taking = $asked->taking();

        return new Check(
            key: $asked,
            readings: [],
            sign: null,
            gain: $gain,
            minutes: $taking->minutes,
            effort: $taking->effort,
            how: $taking->how,
            cautions: Cautions::words($taking->cautions),
            outcomes: $outcomes,
            worth: $this->worth($gain, $taking, $taking->minutes, $taking->effort),
        );
    }

    private function ofSign(Sign $sign): ?Check
    {
        $row = $sign->row();
        $missing = array_values(
            array_filter($row->needs, fn (Reading $one): bool => $this->findings->reading($one) === null),
        );
        if ($missing === [] || ! $row->isAsked($this->findings)) {
            return null;
        }
        $healthy = $this->expectation->healthy($sign);
        if ($healthy === null) {
            return null;
        }
        $ends = self::ends($sign, $healthy);
        [$prospects, $gain] = $this->foresight->assess($this->chances($sign, $healthy, $ends), $row->family);
        $outcomes = [];
        foreach ($prospects as $i => $prospect) {
            if ($prospect->chance > self::LEAST_CHANCE) {
                $outcomes[] = new Outcome(null, $ends[$i][0], $ends[$i][1], $prospect);
            }
        }

        return $this->taken($sign, $missing, $gain, $outcomes);
    }

    /**
     * @param  non-empty-list<Reading>  $missing
     * @param  list<Outcome>  $outcomes
     */
    private function taken(Sign $sign, array $missing, float $gain, array $outcomes): Check
    {
        $minutes = 0;
        $effort = Effort::Look;
        $how = $cautions = [];
        foreach ($missing as $reading) {
            $taking = $reading->taking();
            $minutes += $taking->minutes;
            $effort = $taking->effort->isMoreThan($effort) ? $taking->effort : $effort;
            $how[$taking->how] = true;
            $cautions = [...$cautions, ...$taking->cautions];
        }

        return new Check(
            key: $missing[0],
            readings: $missing,
            sign: $sign,
            gain: $gain,
            minutes: $minutes,
            effort: $effort,
            how: implode(' ', array_keys($how)),
            cautions: Cautions::words(array_values(array_unique($cautions))),
            outcomes: $outcomes,
            worth: $this->worth($gain, $missing[0]->taking(), $minutes, $effort),
        );
    }

    /**
     * Low, fine and high; where it cannot be low, fine and high.
     *
     * @return list<array{?float, ?float}> SI
     */
    private static function ends(Sign $sign, Expected $healthy): array
    {
        $low = $healthy->value - self::BEYOND * $healthy->deviation;
        $high = $healthy->value + self::BEYOND * $healthy->deviation;
        $least = $sign->row()->least;

        return $least !== null && $low <= $least
            ? [[null, $high], [$high, null]]
            : [[null, $low], [$low, $high], [$high, null]];
    }

    /**
     * @param  list<array{?float, ?float}>  $ends
     * @return list<list<float>> chance by outcome, by hypothesis
     */
    private function chances(Sign $sign, Expected $healthy, array $ends): array
    {
        $columns = array_fill(0, count($ends), []);
        foreach ($this->foresight->hypotheses->foretold($sign, $healthy) as [$mean, $deviation]) {
            foreach ($ends as $i => [$from, $to]) {
                $below = $to === null ? 1.0 : self::normal(($to - $mean) / $deviation);
                $above = $from === null ? 0.0 : self::normal(($from - $mean) / $deviation);
                $columns[$i][] = max(1e-4, $below - $above);
            }
        }

        return $columns;
    }

    private function worth(float $gain, Taking $taking, int $minutes, Effort $effort): float
    {
        $hose = $effort === Effort::Gauge && ! $this->hosesOn ? self::FIRST_HOSE : 0.0;

        return ($gain * $taking->available) / sqrt($minutes + self::trouble($effort) + $hose);
    }

    /** Minutes that the risk and trouble of a kind of check are counted as. */
    private static function trouble(Effort $effort): float
    {
        return match ($effort) {
            Effort::Look => 1.0,
            Effort::Hand => 1.5,
            Effort::Clamp => 2.5,
            Effort::Gauge => 4.0,
            Effort::Intervention => 30.0,
        };
    }

    /** Cumulative normal distribution (logistic form of Bowling et al. 2009, error below 0.0002). */
    private static function normal(float $z): float
    {
        return 1 / (1 + exp(-(0.07056 * $z ** 3 + 1.5976 * $z)));
    }
}
