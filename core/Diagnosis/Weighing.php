<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Fault;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Test;
use Metrum\Findings\Findings;

/**
 * Adds up the evidence in log-odds, hypothesis by hypothesis (Bayes with independent evidence given fault and
 * severity).
 *
 * Evidence of one family tells of the same thing twice: the piece that tells most counts whole, the next ones half, a
 * third and so on. All evidence is tempered, since no model foretells as sharply as its formulas claim.
 */
final class Weighing
{
    private const TEMPER = 0.85;

    /** All complaints tell of the same thing. */
    private const COMPLAINT = 'complaint';

    /** @var list<Evidence> */
    public readonly array $evidence;

    /** @var non-empty-list<float> posterior of each hypothesis */
    public readonly array $posterior;

    /** @param  array<string, Signal>  $signals */
    public function __construct(public readonly Hypotheses $hypotheses, Findings $findings, array $signals)
    {
        $pieces = [];
        foreach ($signals as $signal) {
            $pieces[] = new Evidence($signal->sign->row()->family, $hypotheses->ofSignal($signal), $signal);
        }
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            $word = $asked instanceof Observation ? $findings->observed($asked) : $findings->tested($asked);
            if ($word !== null) {
                $logs = array_map(log(...), $hypotheses->chances($asked, $word));
                $pieces[] = new Evidence($asked->row()->family, $logs, asked: $asked, word: $word);
            }
        }
        foreach ($findings->complaints as $complaint) {
            $pieces[] = new Evidence(
                self::COMPLAINT,
                $hypotheses->ofComplaint($complaint),
                complaint: $complaint,
            );
        }
        $this->evidence = self::discount($pieces);
        $this->posterior = self::posterior($hypotheses->prior, $this->evidence);
    }

    /** @var ?array<string, float> */
    private ?array $faults = null;

    /** @return array<string, float> probability by fault, highest first */
    public function byFault(): array
    {
        if ($this->faults !== null) {
            return $this->faults;
        }
        $faults = [];
        foreach ($this->hypotheses->all as $i => [$fault]) {
            $faults[$fault->value] = ($faults[$fault->value] ?? 0.0) + $this->posterior[$i];
        }
        arsort($faults);

        return $this->faults = $faults;
    }

    /**
     * Weight of each piece for a fault, nats: log of how much better the fault foretells it than the rest does on
     * average.
     *
     * @return list<array{Evidence, float}> heaviest first
     */
    public function weightsFor(Fault $fault): array
    {
        $own = $rest = [];
        foreach ($this->hypotheses->all as $i => [$one]) {
            if ($one === $fault) {
                $own[$i] = $this->posterior[$i];
            } else {
                $rest[$i] = $this->hypotheses->prior[$i];
            }
        }
        $weights = [];
        foreach ($this->evidence as $piece) {
            $weights[] = [$piece, self::meanLog($piece->logs, $own) - self::meanLog($piece->logs, $rest)];
        }
        usort($weights, static fn (array $a, array $b): int => abs($b[1]) <=> abs($a[1]));

        return $weights;
    }

    /** Share at which one more piece of this family would count. */
    public function shareLeft(string $family): float
    {
        $same = 0;
        foreach ($this->evidence as $piece) {
            $same += $piece->family === $family ? 1 : 0;
        }

        return self::TEMPER / (1 + $same);
    }

    /**
     * @param  list<Evidence>  $pieces
     * @return list<Evidence>
     */
    private static function discount(array $pieces): array
    {
        usort($pieces, static fn (Evidence $a, Evidence $b): int => $b->reach() <=> $a->reach());
        $seen = [];
        $discounted = [];
        foreach ($pieces as $piece) {
            $seen[$piece->family] = ($seen[$piece->family] ?? 0) + 1;
            $discounted[] = $piece->discounted(self::TEMPER / $seen[$piece->family]);
        }

        return $discounted;
    }

    /**
     * @param  non-empty-list<float>  $prior
     * @param  list<Evidence>  $evidence
     * @return non-empty-list<float>
     */
    private static function posterior(array $prior, array $evidence): array
    {
        $scores = array_map(static fn (float $p): float => log(max(1e-12, $p)), $prior);
        foreach ($evidence as $piece) {
            $scores = array_map(
                static fn (float $score, float $log): float => $score + $log,
                $scores,
                $piece->logs,
            );
        }
        $top = max($scores);
        $weights = array_map(static fn (float $score): float => exp($score - $top), $scores);
        $sum = array_sum($weights);

        return array_map(static fn (float $weight): float => $weight / $sum, $weights);
    }

    /**
     * Log of the mean of exp(log), weighted.
     *
     * @param  non-empty-list<float>  $logs
     * @param  array<int, float>  $by
     */
    private static function meanLog(array $logs, array $by): float
    {
        $sum = $whole = 0.0;
        $top = max($logs);
        foreach ($by as $i => $weight) {
            $sum += ($weight + 1e-12) * exp($logs[$i] - $top);
            $whole += $weight + 1e-12;
        }

        return $top + log(max(1e-300, $sum / $whole));
    }
}
