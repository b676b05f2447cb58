<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Effort;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Station;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Twin\Expectation;
use Metrum\Twin\Expected;

/** Makes a check of anything that can be asked: what it would tell, what it costs, what its outcomes would mean. */
final readonly class Proposals
{
    /**
     * The first hose costs refrigerant and risks the core: while none is on, looking and clamping come first
     * (minutes).
     */
    private const FIRST_HOSE = 8.0;

    /** Minutes to walk from the box to the unit or back, where nothing was taken there yet. */
    private const WALK = 2.0;

    /** Chance below which an outcome is not named. */
    private const LEAST_CHANCE = 0.02;

    /** Deviations from the healthy value at which high and low begin. */
    private const BEYOND = 1.5;

    private Foresight $foresight;

    private Curves $curves;

    private Words $words;

    private bool $hosesOn;

    /** @var array<int, true> whether something was taken at the box (1), at the unit (0) */
    private array $been;

    public function __construct(
        private Findings $findings,
        Weighing $weighing,
        private Expectation $expectation,
        private Conditions $conditions,
    ) {
        $this->hosesOn =
            $findings->reading(Reading::SuctionPressure) !== null ||
            $findings->reading(Reading::DischargePressure) !== null;
        $this->foresight = new Foresight($weighing);
        $this->curves = $weighing->curves;
        $this->words = $weighing->words;
        $been = [];
        foreach (
            array_keys([...$findings->readings, ...$findings->observations, ...$findings->tests]) as $key
        ) {
            $asked = Reading::tryFrom($key) ?? (Observation::tryFrom($key) ?? Test::from($key));
            $been[(int) (Station::of($asked) === Station::Box)] = true;
        }
        $this->been = $been;
    }

    /** What a reading tells by itself, or with one more; else the reading alone, of which no outcome was learned. */
    public function ofReading(Asked $reading): Check
    {
        $best = null;
        foreach (Sign::cases() as $sign) {
            $check = in_array($reading, $sign->row()->needs, true) ? $this->ofSign($sign) : null;
            $isFewer = $best === null || ($check !== null && count($check->readings) < count($best->readings));
            if ($check !== null && $check->key === $reading && $isFewer) {
                $best = $check;
            }
        }
        $taking = $reading->taking();

        return $best ?? new Check(
            key: $reading,
            readings: $reading instanceof Reading ? [$reading] : [],
            sign: null,
            gain: 0.0,
            minutes: $taking->minutes,
            effort: $taking->effort,
            how: $taking->how,
            cautions: Cautions::words($taking->cautions),
            outcomes: [],
            worth: 0.0,
        );
    }

    public function ofQuestion(Question $asked): Check
    {
        [$prospects, $gain] = $this->foresight->assess($this->words->chances($asked));
        $outcomes = [];
        foreach ($prospects as $word => $prospect) {
            $outcomes[] = new CheckOutcome(Word::from((string) $word), null, null, $prospect);
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
            worth: $this->worth($gain, $asked, $taking->minutes, $taking->effort),
        );
    }

    public function ofSign(Sign $sign): ?Check
    {
        $row = $sign->row();
        $missing = array_values(
            array_filter($row->needs, fn (Reading $one): bool => $this->findings->reading($one) === null),
        );
        if ($missing === [] || ! $row->isAsked($this->findings)) {
            return null;
        }
        $healthy = $this->expectation->healthy($sign);
        $learned = $this->curves->outcomes(Setting::at(Feature::of($sign), $this->conditions)->name());
        if ($healthy === null || $learned === []) {
            return null;
        }
        [$groups, $ends] = self::told($sign, $healthy);
        [$prospects, $gain] = $this->foresight->assess($learned, $groups);
        $outcomes = [];
        foreach ($prospects as $group => $prospect) {
            if ($prospect->chance > self::LEAST_CHANCE) {
                $outcomes[] = new CheckOutcome(null, $ends[$group][0], $ends[$group][1], $prospect);
            }
        }

        return $this->taken($sign, $missing, $gain, $outcomes);
    }

    /**
     * @param  non-empty-list<Reading>  $missing
     * @param  list<CheckOutcome>  $outcomes
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
            worth: $this->worth($gain, $missing[0], $minutes, $effort),
        );
    }

    /**
     * Knots of the curve as low, fine and high, with their ends; where it cannot be low, as fine and high.
     *
     * @return array{array<int, int>, array<int, array{?float, ?float}>} group by knot; ends by group, SI
     */
    private static function told(Sign $sign, Expected $healthy): array
    {
        $low = $healthy->value - self::BEYOND * $healthy->deviation;
        $high = $healthy->value + self::BEYOND * $healthy->deviation;
        $least = $sign->row()->least;
        $neverLow = $least !== null && $low <= $least;
        $groups = array_map(
            static fn (float $knot): int => match (true) {
                $knot > self::BEYOND => 2,
                $knot < -self::BEYOND && ! $neverLow => 0,
                default => 1,
            },
            Scale::DEVIATIONS,
        );

        return [$groups, [[null, $low], [$neverLow ? null : $low, $high], [$high, null]]];
    }

    private function worth(float $gain, Asked $key, int $minutes, Effort $effort): float
    {
        $hose = $effort === Effort::Gauge && ! $this->hosesOn ? self::FIRST_HOSE : 0.0;
        $there = isset($this->been[(int) (Station::of($key) === Station::Box)]);
        $walk = $this->been === [] || $there ? 0.0 : self::WALK;

        return ($gain * $key->taking()->available) / ($minutes + self::trouble($effort) + $hose + $walk);
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
}
