<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Complaint;
use Metrum\Circuit\Fault;
use Metrum\Circuit\Question;
use Metrum\Circuit\Word;
use Metrum\Findings\Sign;
use Metrum\Plant\Expected;

/**
 * All that may be the case, fault by severity, and how well each foretells a piece of evidence.
 *
 * A hypothesis foretells a sign as healthy value + its shift, Student's t with 5 degrees of freedom (one bad clamp must
 * not decide), a word by its chance. Faults already confirmed at the visit are present under every hypothesis: their
 * shifts are added, their chances joined as independent causes.
 */
final class Hypotheses
{
    public const SEVERITIES = [0.25, 0.55, 0.95];

    private const FREEDOM = 5.0;

    /** Deviations above which a sign that alarms is no sound plant's. */
    private const ALARMING = 3.0;

    /** Severity at which a confirmed fault is taken to be there. */
    private const CONFIRMED = 0.6;

    /**
     * @param  list<Fault>  $confirmed
     * @param  non-empty-list<array{Fault, float}>  $all  fault and severity
     * @param  list<Fault>  $faults  each fault once
     * @param  list<int>  $faultOf  place in $faults of each hypothesis
     * @param  non-empty-list<float>  $prior  normalised
     */
    private function __construct(
        private readonly Weights $weights,
        private readonly array $confirmed,
        public readonly array $all,
        public readonly array $faults,
        public readonly array $faultOf,
        public readonly array $prior,
    ) {
    }

    /**
     * Every fault neither confirmed nor ruled out; where that leaves none, that nothing more is wrong.
     *
     * @param  list<Fault>  $confirmed
     * @param  list<Fault>  $ruledOut
     */
    public static function open(Weights $weights, array $confirmed, array $ruledOut): self
    {
        $closed = [...$confirmed, ...$ruledOut];
        $open = array_filter(
            Fault::cases(),
            static fn (Fault $fault): bool => ! in_array($fault, $closed, true) && $weights->prior($fault) > 0.0,
        );
        $all = $prior = $faults = $faultOf = [];
        foreach ($open === [] ? [Fault::NoFault] : $open as $fault) {
            $severities = $fault === Fault::NoFault ? [0.0] : self::SEVERITIES;
            $share = $weights->prior($fault) / count($severities);
            $faults[] = $fault;
            foreach ($severities as $severity) {
                $faultOf[] = count($faults) - 1;
                $all[] = [$fault, $severity];
                $prior[] = $share;
            }
        }
        $sum = max(1e-300, array_sum($prior));

        return new self(
            $weights,
            $confirmed,
            $all,
            $faults,
            $faultOf,
            array_map(static fn (float $share): float => $share / $sum, $prior),
        );
    }

    /**
     * Only the hypotheses at the places given.
     *
     * @param  non-empty-list<int>  $places
     */
    public function at(array $places): self
    {
        return new self(
            $this->weights,
            $this->confirmed,
            array_map(fn (int $i): array => $this->all[$i], $places),
            $this->faults,
            array_map(fn (int $i): int => $this->faultOf[$i], $places),
            array_map(fn (int $i): float => $this->prior[$i], $places),
        );
    }

    /**
     * Mean (SI) and deviation of a sign under each hypothesis.
     *
     * @return non-empty-list<array{float, float}>
     */
    public function foretold(Sign $sign, Expected $healthy): array
    {
        [$base, $narrow] = $this->sound($sign, $healthy);
        $foretold = [];
        foreach ($this->all as [$fault, $severity]) {
            [$shift, $spread] = $this->weights->shift($fault, $sign, $severity);
            $foretold[] = [$base + $shift, hypot($narrow, $spread)];
        }

        return $foretold;
    }

    /**
     * Mean (SI) and deviation of a sign where nothing is wrong but what was confirmed.
     *
     * @return array{float, float}
     */
    private function sound(Sign $sign, Expected $healthy): array
    {
        [$base, $more] = [$healthy->value, $healthy->deviation ** 2];
        foreach ($this->confirmed as $fault) {
            [$shift, $spread] = $this->weights->shift($fault, $sign, self::CONFIRMED);
            $base += $shift;
            $more += $spread ** 2 + (0.3 * $shift) ** 2;
        }

        return [$base, sqrt($more)];
    }

    /** @return non-empty-list<float> log-likelihood of the signal under each hypothesis */
    public function ofSignal(Signal $signal): array
    {
        $logs = [];
        [$sound, $narrow] = $this->sound($signal->sign, $signal->expected);
        $ofSound = self::logDensity($signal->measured, $sound, $narrow);
        foreach ($this->foretold($signal->sign, $signal->expected) as [$mean, $deviation]) {
            $log = self::logDensity($signal->measured, $mean, $deviation);
            // How far a fault moves a sign is not known well, which way is: the other way it never speaks for it.
            $otherWay = ($mean - $sound) * ($signal->measured - $sound) < 0.0;
            $logs[] = $otherWay ? min($log, $ofSound) : $log;
        }
        $z = ($signal->measured - $sound) / $narrow;
        if ($signal->sign->row()->alarming && $z > self::ALARMING) {
            return $this->withoutSound($logs, 0.5 * ($z ** 2 - self::ALARMING ** 2));
        }

        return $logs;
    }

    /**
     * The same, a sound plant less likely by so many nats.
     *
     * @param  non-empty-list<float>  $logs
     * @return non-empty-list<float>
     */
    private function withoutSound(array $logs, float $less): array
    {
        return array_map(
            static fn (float $log, array $hypothesis): float => $hypothesis[0] === Fault::NoFault ? $log - $less : $log,
            $logs,
            $this->all,
        );
    }

    private static function logDensity(float $measured, float $mean, float $deviation): float
    {
        $z = ($measured - $mean) / $deviation;

        return -log($deviation) - ((self::FREEDOM + 1) / 2) * log(1 + ($z * $z) / self::FREEDOM);
    }

    /** @return non-empty-list<float> chance of the word under each hypothesis */
    public function chances(Question $asked, Word $word): array
    {
        $plain = $this->weights->chance(Fault::NoFault, $asked, $word, 0.0);
        $chances = [];
        foreach ($this->all as [$fault, $severity]) {
            $chance = $this->weights->chance($fault, $asked, $word, $severity);
            foreach ($this->confirmed as $present) {
                $known = $this->weights->chance($present, $asked, $word, self::CONFIRMED);
                $chance =
                    $known > $plain
                        ? 1 - (1 - $chance) * (1 - $known)
                        : min($chance, max($known, 0.5 * $chance));
            }
            $chances[] = max(1e-4, $chance);
        }

        return $chances;
    }

    /** @return non-empty-list<float> log ratio of the complaint under each hypothesis */
    public function ofComplaint(Complaint $complaint): array
    {
        return array_map(function (array $hypothesis) use ($complaint): float {
            $ratio = $this->weights->complaintRatio($hypothesis[0], $complaint);
            foreach ($this->confirmed as $present) {
                $ratio = max($ratio, $this->weights->complaintRatio($present, $complaint));
            }

            return log($ratio);
        }, $this->all);
    }
}
