<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\DataFile;
use Metrum\Circuit\Fault;
use Metrum\Circuit\Fitted;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Test;
use Metrum\Circuit\Word;
use Metrum\Findings\Findings;
use Metrum\Plant\Expectation;

/** Ranks what has not been looked at yet by the information it is expected to bring (bits) for its minutes and its risk. */
final readonly class NextChecks
{
    /** Hypotheses less likely than this change nothing that can be seen in a gain. */
    private const LEAST_LIKELY = 4e-4;

    /** Minutes that the risk and trouble of a kind of check are counted as. */
    private const TROUBLE = [
        'look' => 1.0,
        'hand' => 1.5,
        'clamp' => 2.5,
        'gauge' => 4.0,
        'intervention' => 30.0,
    ];

    /** The first hose costs refrigerant and risks the core: while none is on, looking and clamping come first. */
    private const FIRST_HOSE = 14.0;

    private const LEAST_GAIN = 0.004;

    private Hypotheses $hypotheses;

    /** @var list<float> */
    private array $posterior;

    private float $entropy;

    private bool $hosesOn;

    public function __construct(
        private Findings $findings,
        private Weighing $weighing,
        private Expectation $expectation,
        private Conditions $conditions,
    ) {
        $this->hosesOn =
            $findings->reading(Reading::SuctionPressure) !== null ||
            $findings->reading(Reading::DischargePressure) !== null;
        $likely = array_keys(
            array_filter($weighing->posterior, static fn (float $p): bool => $p > self::LEAST_LIKELY),
        );
        $places = $likely === [] ? [0] : $likely;
        $this->hypotheses = $weighing->hypotheses->at($places);
        $this->posterior = array_map(static fn (int $i): float => $weighing->posterior[$i], $places);
        $now = array_fill(0, count($this->hypotheses->faults), 0.0);
        foreach ($this->posterior as $i => $p) {
            $now[$this->hypotheses->faultOf[$i]] += $p;
        }
        $this->entropy = self::entropy($now, array_sum($now));
    }

    /** @return list<Check> best first */
    public function ranked(int $most): array
    {
        $checks = [];
        foreach (Observation::cases() as $observation) {
            if (
                $this->findings->observed($observation) === null &&
                Fitted::asks($this->findings->circuit, $observation)
            ) {
                $checks[] = $this->ofWords($observation, $observation->words());
            }
        }
        foreach (Test::cases() as $test) {
            if ($this->findings->tested($test) === null && Fitted::asks($this->findings->circuit, $test)) {
                $checks[] = $this->ofWords($test, $test->words());
            }
        }
        foreach (Sign::all() as $sign) {
            $checks[] = $this->ofSign($sign);
        }
        $checks = array_values(
            array_filter(
                $checks,
                static fn (?Check $check): bool => $check !== null && $check->gain >= self::LEAST_GAIN,
            ),
        );
        usort($checks, static fn (Check $a, Check $b): int => $b->worth <=> $a->worth);
        $first = [];
        foreach ($checks as $check) {
            $first[$check->key->value] ??= $check;
        }

        return array_slice(array_values($first), 0, $most);
    }

    /** @param  list<Word>  $words */
    private function ofWords(Observation|Test $key, array $words): Check
    {
        $share = $this->share($key->value);
        $columns = $outcomes = [];
        foreach ($words as $word) {
            $columns[] = $this->hypotheses->chances($key->value, $word);
        }
        [$judged, $gain] = $this->assess($columns, $share);
        foreach ($judged as $i => [$chance, $fault, $probability]) {
            $outcomes[] = new Outcome($words[$i], null, null, $chance, $fault, $probability);
        }
        $told = self::told($key->value);

        return $this->check(
            $key,
            [],
            null,
            $gain,
            $told['minutes'],
            $told['effort'],
            $told['how'],
            $told['cautions'],
            $outcomes,
        );
    }

    private function ofSign(Sign $sign): ?Check
    {
        $missing = array_values(
            array_filter(
                $sign->needs,
                fn (Reading $reading): bool => $this->findings->reading($reading) === null,
            ),
        );
        $healthy = $this->expectation->healthy($sign->key);
        if ($missing === [] || $healthy === null || ! $this->signApplies($sign->key)) {
            return null;
        }
        $low = $healthy->value - 1.6 * $healthy->deviation;
        $high = $healthy->value + 1.6 * $healthy->deviation;
        $ends = [[null, $low], [$low, $high], [$high, null]];
        if ($sign->least !== null && $low <= $sign->least) {
            $ends = [[null, $high], [$high, null]];
        }
        $columns = array_fill(0, count($ends), []);
        foreach ($this->hypotheses->foretold($sign, $healthy) as [$mean, $deviation]) {
            foreach ($ends as $i => [$from, $to]) {
                $columns[$i][] = max(
                    1e-4,
                    ($to === null ? 1.0 : self::normal(($to - $mean) / $deviation)) -
                        ($from === null ? 0.0 : self::normal(($from - $mean) / $deviation)),
                );
            }
        }
        [$judged, $gain] = $this->assess($columns, $this->weighing->shareLeft($sign->family));
        $outcomes = [];
        foreach ($judged as $i => [$chance, $fault, $probability]) {
            if ($chance > 0.02) {
                $outcomes[] = new Outcome(null, $ends[$i][0], $ends[$i][1], $chance, $fault, $probability);
            }
        }
        $minutes = 0;
        $effort = 'look';
        $how = $cautions = [];
        foreach ($missing as $reading) {
            $told = self::told($reading->value);
            $minutes += $told['minutes'];
            $effort = self::TROUBLE[$told['effort']] > self::TROUBLE[$effort] ? $told['effort'] : $effort;
            $how[$told['how']] = true;
            $cautions = [...$cautions, ...$told['cautions']];
        }

        return $this->check(
            $missing[0],
            $missing,
            $sign,
            $gain,
            $minutes,
            $effort,
            implode(' ', array_keys($how)),
            $cautions,
            $outcomes,
        );
    }

    /**
     * @param  list<Reading>  $readings
     * @param  list<string>  $cautions
     * @param  list<Outcome>  $outcomes
     */
    private function check(
        Reading|Observation|Test $key,
        array $readings,
        ?Sign $sign,
        float $gain,
        int $minutes,
        string $effort,
        string $how,
        array $cautions,
        array $outcomes,
    ): Check {
        $worth =
            ($gain * self::availability($key)) /
            sqrt(
                $minutes +
                    self::TROUBLE[$effort] +
                    ($effort === 'gauge' && ! $this->hosesOn ? self::FIRST_HOSE : 0.0),
            );

        return new Check(
            $key,
            $readings,
            $sign,
            $gain,
            $minutes,
            $effort,
            $how,
            Cautions::words(array_values(array_unique($cautions))),
            $outcomes,
            $worth,
        );
    }

    /**
     * What each outcome would mean, and how much the answer is expected to tell.
     *
     * @param  list<list<float>>  $columns  chance by outcome, by hypothesis
     * @return array{list<array{float, Fault, float}>, float} chance, leading fault and its probability by outcome; gain in bits
     */
    private function assess(array $columns, float $share): array
    {
        $faultOf = $this->hypotheses->faultOf;
        $judged = [];
        $after = $whole = 0.0;
        foreach ($columns as $column) {
            $faults = array_fill(0, count($this->hypotheses->faults), 0.0);
            $chance = $sum = 0.0;
            foreach ($this->posterior as $i => $p) {
                $c = $column[$i];
                $chance += $p * $c;
                $weight = $p * $c ** $share;
                $faults[$faultOf[$i]] += $weight;
                $sum += $weight;
            }
            arsort($faults);
            $first = array_key_first($faults);
            $judged[] = [$chance, $this->hypotheses->faults[$first], $faults[$first] / $sum];
            $after += $chance * self::entropy($faults, $sum);
            $whole += $chance;
        }

        return [$judged, max(0.0, $this->entropy - $after / max(1e-9, $whole))];
    }

    /** @param  array<int, float>  $weights */
    private static function entropy(array $weights, float $sum): float
    {
        $entropy = 0.0;
        foreach ($weights as $weight) {
            if ($weight > 1e-12) {
                $entropy -= ($weight / $sum) * log($weight / $sum, 2);
            }
        }

        return $entropy;
    }

    private function share(string $key): float
    {
        /** @var array{family: string} $entry */
        $entry = DataFile::read('evidence/words')[$key];

        return $this->weighing->shareLeft($entry['family']);
    }

    private function signApplies(string $sign): bool
    {
        $circuit = $this->findings->circuit;

        return match ($sign) {
            'level', 'over_condenser', 'subcooling_condenser' => $circuit->hasReceiver(),
            'freeze_time', 'water' => $this->conditions->holds('ice_machine') === true,
            'heater' => $this->conditions->holds('electric') !== false,
            'fan_delay' => $this->conditions->holds('low_temperature') === true,
            'regulator_drop' => $circuit->regulator === true,
            'line_loss' => $circuit->regulator !== true,
            'superheat', 'td_coil' => $circuit->regulator === true ||
                $this->findings->reading(Reading::EvaporatorPressure) !== null,
            'superheat_suction', 'td_suction' => $circuit->regulator !== true,
            'superheat_far', 'discharge', 'current_residual', 'lift' => false,
            'current' => $circuit->design->ratedCurrent !== null,
            'box' => $circuit->design->boxSetPoint !== null,
            'cut_out', 'cut_in' => $circuit->design->boxSetPoint !== null &&
                ! ($circuit->kind?->isShared() ?? false),
            default => true,
        };
    }

    /** How often there is a place to take it at all: few plants have ports on both sides of the drier. */
    private static function availability(Reading|Observation|Test $key): float
    {
        /** @var array{available?: float|int} $told */
        $told = DataFile::read('checks')[$key->value];

        return (float) ($told['available'] ?? 1.0);
    }

    /** @return array{minutes: int, effort: string, how: string, cautions: list<string>} */
    private static function told(string $key): array
    {
        /** @var array{minutes: int, effort: string, how: string, cautions: list<string>} $told */
        $told = DataFile::read('checks')[$key];

        return $told;
    }

    /** Cumulative normal distribution (logistic form of Bowling et al. 2009, error below 0.0002). */
    private static function normal(float $z): float
    {
        return 1 / (1 + exp(-(0.07056 * $z ** 3 + 1.5976 * $z)));
    }
}
