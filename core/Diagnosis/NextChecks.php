<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Asked;
use Metrum\Circuit\Effort;
use Metrum\Circuit\Fault;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Question;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Taking;
use Metrum\Circuit\Test;
use Metrum\Circuit\Word;
use Metrum\Findings\Figures;
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

    /** Probability from which a suspect is to be proven. */
    private const LEADS = 0.75;

    /** Looks before the first tool is fetched. */
    private const FIRST_LOOKS = 3;

    /** Bits below which a check is not worth naming. */
    private const LEAST_GAIN = 0.004;

    /** Chance below which an outcome is not named. */
    private const LEAST_CHANCE = 0.02;

    /** Deviations from the healthy value at which high and low begin. */
    private const BEYOND = 1.5;

    private Foresight $foresight;

    private Curves $curves;

    private AlreadyTold $told;

    private bool $hosesOn;

    public function __construct(
        private Findings $findings,
        private Weighing $weighing,
        private Expectation $expectation,
        private Conditions $conditions,
        Figures $figures,
    ) {
        $this->told = new AlreadyTold($findings, $figures);
        $this->hosesOn =
            $findings->reading(Reading::SuctionPressure) !== null ||
            $findings->reading(Reading::DischargePressure) !== null;
        $this->foresight = new Foresight($weighing);
        $this->curves = $weighing->curves;
    }

    /**
     * Best first, one for each thing that is entered first: once one suspect leads clearly, what would convict or clear
     * it; then what tells what makes it do that; then what tells the suspects apart.
     *
     * @return list<Check>
     */
    public function ranked(int $most): array
    {
        $checks = [...$this->ofLeading(), ...$this->apart()];
        $first = [];
        foreach ($checks as $check) {
            $first[$check->key->value] ??= $check;
        }

        return array_slice(array_values($first), 0, $most);
    }

    /** @return list<Check> to prove the suspect that leads, and to find its cause */
    private function ofLeading(): array
    {
        $faults = $this->weighing->byFault();
        $first = Fault::from((string) array_key_first($faults));
        if ($first === Fault::NoFault || $faults[$first->value] < self::LEADS) {
            return [];
        }
        $entry = FaultCatalogue::entry($first);
        $checks = [];
        foreach ([[Purpose::Prove, $entry->provenBy], [Purpose::FindCause, $entry->causeBy]] as [$purpose, $keys]) {
            $check = $this->firstOf($keys);
            if ($check !== null) {
                $checks[] = $check->for($purpose);
            }
        }

        return $checks;
    }

    /** @param  list<Asked>  $keys */
    private function firstOf(array $keys): ?Check
    {
        foreach ($keys as $key) {
            if ($this->isKnown($key)) {
                continue;
            }
            $check = $key instanceof Question ? $this->ofQuestion($key) : $this->ofReading($key);
            if ($check !== null) {
                return $check;
            }
        }

        return null;
    }

    private function ofReading(Asked $reading): ?Check
    {
        foreach (Sign::cases() as $sign) {
            $check = in_array($reading, $sign->row()->needs, true) ? $this->ofSign($sign) : null;
            if ($check !== null && in_array($reading, $check->readings, true)) {
                return $check;
            }
        }

        return null;
    }

    /** Answered, told by something else, or not to be had at such a plant. */
    private function isKnown(Asked $key): bool
    {
        $answered = match (true) {
            $key instanceof Observation => $this->findings->observed($key) !== null,
            $key instanceof Test => $this->findings->tested($key) !== null,
            $key instanceof Reading => $this->findings->reading($key) !== null,
            default => false,
        };

        return $answered || ! $key->taking()->fit->asks($this->findings->circuit) || $this->told->is($key);
    }

    /** @return list<Check> by what they tell of the suspects for their minutes and risk */
    private function apart(): array
    {
        $checks = [];
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            $checks[] = $this->isKnown($asked) ? null : $this->ofQuestion($asked);
        }
        foreach (Sign::cases() as $sign) {
            $check = $this->ofSign($sign);
            $checks[] = $check === null || $this->told->is($check->key) ? null : $check;
        }
        $worthy = array_values(
            array_filter(
                $checks,
                static fn (?Check $one): bool => $one !== null && $one->gain >= self::LEAST_GAIN,
            ),
        );
        $looks = $this->looksFirst();
        usort(
            $worthy,
            static fn (Check $a, Check $b): int => [$looks && $b->effort === Effort::Look, $b->worth] <=> [
                $looks && $a->effort === Effort::Look,
                $a->worth,
            ],
        );

        return $worthy;
    }

    /** While nothing was measured and little seen, what needs no tool comes first (A-01). */
    private function looksFirst(): bool
    {
        return $this->findings->readings === [] && count($this->findings->observations) < self::FIRST_LOOKS;
    }

    private function ofQuestion(Question $asked): ?Check
    {
        $learned = $this->curves->outcomes(Features::word($asked, $asked->row()->under($this->conditions->holds(...))));
        if ($learned === []) {
            return null;
        }
        [$prospects, $gain] = $this->foresight->assess($learned);
        $outcomes = [];
        foreach ($prospects as $word => $prospect) {
            $outcomes[] = new Outcome(Word::from((string) $word), null, null, $prospect);
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
        $learned = $this->curves->outcomes('sign '.$sign->value);
        if ($healthy === null || $learned === []) {
            return null;
        }
        [$groups, $ends] = self::told($sign, $healthy);
        [$prospects, $gain] = $this->foresight->assess($learned, $groups);
        $outcomes = [];
        foreach ($prospects as $group => $prospect) {
            if ($prospect->chance > self::LEAST_CHANCE) {
                $outcomes[] = new Outcome(null, $ends[$group][0], $ends[$group][1], $prospect);
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
}
