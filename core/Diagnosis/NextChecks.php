<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Fault;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Test;
use Metrum\Circuit\Word;
use Metrum\Findings\Findings;
use Metrum\Plant\Expectation;

/** Ranks what has not been looked at yet by the information it is expected to bring (bits) for its minutes and its risk. */
final readonly class NextChecks
{
    /** Minutes that the risk and trouble of a kind of check are counted as. */
    private const TROUBLE = ['look' => 1.0, 'hand' => 1.5, 'clamp' => 2.5, 'gauge' => 6.0, 'intervention' => 18.0];

    private const LEAST_GAIN = 0.004;

    public function __construct(private Findings $findings, private Weighing $weighing, private Expectation $expectation, private Conditions $conditions) {}

    /** @return list<Check> best first */
    public function ranked(int $most): array
    {
        $checks = [];
        foreach (Observation::cases() as $observation) {
            if ($this->findings->observed($observation) === null && $this->applies($observation)) {
                $checks[] = $this->ofWords($observation, $observation->words());
            }
        }
        foreach (Test::cases() as $test) {
            if ($this->findings->tested($test) === null && $this->applies($test)) {
                $checks[] = $this->ofWords($test, $test->words());
            }
        }
        foreach (Sign::all() as $sign) {
            $checks[] = $this->ofSign($sign);
        }
        $checks = array_values(array_filter($checks, static fn (?Check $check): bool => $check !== null && $check->gain >= self::LEAST_GAIN));
        usort($checks, static fn (Check $a, Check $b): int => $b->worth <=> $a->worth);
        $first = [];
        foreach ($checks as $check) {
            $first[$check->key->value] ??= $check;
        }

        return array_slice(array_values($first), 0, $most);
    }

    /** @param  list<Word>  $words */
    private function ofWords(Observation|Test $key, array $words): ?Check
    {
        $share = $this->share($key->value);
        $columns = $outcomes = [];
        foreach ($words as $word) {
            $columns[] = $this->weighing->hypotheses->chances($key->value, $word);
        }
        foreach ($this->judge($columns, $share) as $i => [$chance, $fault, $probability]) {
            $outcomes[] = new Outcome($words[$i], null, null, $chance, $fault, $probability);
        }
        $told = self::told($key->value);

        return $this->check($key, [], null, $this->gain($columns, $share), $told['minutes'], $told['effort'], $told['how'], $told['cautions'], $outcomes);
    }

    private function ofSign(Sign $sign): ?Check
    {
        $missing = array_values(array_filter($sign->needs, fn (Reading $reading): bool => $this->findings->reading($reading) === null));
        $healthy = $this->expectation->healthy($sign->key);
        if ($missing === [] || $healthy === null || ! $this->signApplies($sign->key)) {
            return null;
        }
        $low = $healthy->value - 1.6 * $healthy->deviation;
        $high = $healthy->value + 1.6 * $healthy->deviation;
        $columns = [[], [], []];
        foreach ($this->weighing->hypotheses->foretold($sign, $healthy) as [$mean, $deviation]) {
            $below = self::normal(($low - $mean) / $deviation);
            $above = 1 - self::normal(($high - $mean) / $deviation);
            $columns[0][] = max(1e-4, $below);
            $columns[1][] = max(1e-4, 1 - $below - $above);
            $columns[2][] = max(1e-4, $above);
        }
        $share = $this->weighing->shareLeft($sign->family);
        $outcomes = [];
        $ends = [[null, $low], [$low, $high], [$high, null]];
        foreach ($this->judge($columns, $share) as $i => [$chance, $fault, $probability]) {
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

        return $this->check($missing[0], $missing, $sign, $this->gain($columns, $share), $minutes, $effort, implode(' ', array_keys($how)), $cautions, $outcomes);
    }

    /**
     * @param  list<Reading>  $readings
     * @param  list<string>  $cautions
     * @param  list<Outcome>  $outcomes
     */
    private function check(Reading|Observation|Test $key, array $readings, ?Sign $sign, float $gain, int $minutes, string $effort, string $how, array $cautions, array $outcomes): Check
    {
        $worth = $gain / sqrt($minutes + self::TROUBLE[$effort]);

        return new Check($key, $readings, $sign, $gain, $minutes, $effort, $how, Cautions::words(array_values(array_unique($cautions))), $outcomes, $worth);
    }

    /**
     * Chance of each outcome now, and the fault it would put first.
     *
     * @param  list<list<float>>  $columns  chance by outcome, by hypothesis
     * @return list<array{float, Fault, float}>
     */
    private function judge(array $columns, float $share): array
    {
        $judged = [];
        foreach ($columns as $column) {
            [$faults, $chance, $sum] = $this->after($column, $share);
            arsort($faults);
            $first = array_key_first($faults) ?? Fault::NoFault->value;
            $judged[] = [$chance, Fault::from($first), $sum > 0 ? $faults[$first] / $sum : 0.0];
        }

        return $judged;
    }

    /**
     * Expected fall of the entropy over faults, bits.
     *
     * @param  list<list<float>>  $columns
     */
    private function gain(array $columns, float $share): float
    {
        $after = $whole = 0.0;
        foreach ($columns as $column) {
            [$faults, $chance, $sum] = $this->after($column, $share);
            $after += $chance * self::entropy($faults, $sum);
            $whole += $chance;
        }
        $now = $this->weighing->byFault();

        return max(0.0, self::entropy($now, array_sum($now)) - $after / max(1e-9, $whole));
    }

    /**
     * @param  list<float>  $column
     * @return array{array<string, float>, float, float} unnormalised posterior by fault, chance of the outcome, its sum
     */
    private function after(array $column, float $share): array
    {
        $faults = [];
        $chance = $sum = 0.0;
        $posterior = $this->weighing->posterior;
        foreach ($this->weighing->hypotheses->all as $i => [$fault]) {
            $chance += $posterior[$i] * $column[$i];
            $weight = $posterior[$i] * $column[$i] ** $share;
            $faults[$fault->value] = ($faults[$fault->value] ?? 0.0) + $weight;
            $sum += $weight;
        }

        return [$faults, $chance, $sum];
    }

    /** @param  array<string, float>  $weights */
    private static function entropy(array $weights, float $sum): float
    {
        $entropy = 0.0;
        foreach ($weights as $weight) {
            if ($weight > 1e-12) {
                $entropy -= $weight / $sum * log($weight / $sum, 2);
            }
        }

        return $entropy;
    }

    private function share(string $key): float
    {
        /** @var array{family: string} $entry */
        $entry = KnowledgeFile::read('evidence/words')[$key];

        return $this->weighing->shareLeft($entry['family']);
    }

    /** Whether the part asked about is there at all. */
    private function applies(Observation|Test $key): bool
    {
        $receiver = $this->findings->circuit->hasReceiver();

        return match ($key) {
            Observation::HeadPressureValveBypassLine => $this->conditions->holds('flooding_valve') !== false,
            Observation::SuctionLineAfterHotGasValve => $this->conditions->holds('hot_gas') !== false,
            Observation::RegulatorStem => $this->findings->circuit->regulator === true,
            Observation::ReceiverFeel => $receiver,
            Observation::DefrostClock, Observation::LastDefrost => $this->conditions->holds('has_defrost') !== false,
            Observation::CondenserFace, Observation::CondenserFans, Test::CondenserWashed => $this->findings->circuit->condenser !== \Metrum\Circuit\CondenserPlace::Water,
            Test::PowerToHeaters => $this->conditions->holds('electric') !== false,
            Test::CircuitIsolated => $this->findings->circuit->kind?->isShared() === true,
            Test::ValveBulbWarmed, Test::ValveBulbIced => $this->findings->circuit->metering === null || $this->findings->circuit->metering === \Metrum\Circuit\Metering::Txv,
            Test::ValveScreen => $this->conditions->holds('capillary') !== true,
            default => true,
        };
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
            'superheat', 'td_suction' => $circuit->regulator !== true,
            'superheat_far', 'discharge', 'current_residual', 'lift', 'water_feed' => false,
            'current' => $circuit->design->ratedCurrent !== null,
            'box' => $circuit->design->boxSetPoint !== null,
            'cut_out', 'cut_in' => $circuit->design->boxSetPoint !== null && ! ($circuit->kind?->isShared() ?? false),
            default => true,
        };
    }

    /** @return array{minutes: int, effort: string, how: string, cautions: list<string>} */
    private static function told(string $key): array
    {
        /** @var array{minutes: int, effort: string, how: string, cautions: list<string>} $told */
        $told = KnowledgeFile::read('checks')[$key];

        return $told;
    }

    /** Cumulative normal distribution (logistic form of Bowling et al. 2009, error below 0.0002). */
    private static function normal(float $z): float
    {
        return 1 / (1 + exp(-(0.07056 * $z ** 3 + 1.5976 * $z)));
    }
}
