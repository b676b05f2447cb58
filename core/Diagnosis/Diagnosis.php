<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Fault;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Wanted;
use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Findings\Signals;
use Metrum\Plant\Expectation;
use Metrum\Plant\Twins;

/** Weighs what was found against what the plant should read, and says what to look at next. */
final readonly class Diagnosis
{
    /** Nats below which a piece of evidence is not named for or against. */
    private const LEAST_WEIGHT = 0.12;

    /** Probability of a shortage from which its caution stands. */
    private const SHORTAGE = 0.15;

    /** K at the compressor below which liquid may be reaching it. */
    private const WET_COMPRESSOR = 3.0;

    /** K by which the box may lie off its set point where nobody read it. */
    private const BOX_UNREAD = 3.0;

    /** Probability that a fault ruled out would have had, from which that is doubted. */
    private const DOUBTED = 0.5;

    public function __construct(
        private HouseRules $rules = new HouseRules(),
        private Twins $twins = new Twins(),
    ) {
    }

    /**
     * @param  int  $checks  how many next checks are wanted
     * @param  int  $explained  for how many suspects the evidence is wanted
     * @param  ?Expectation  $expectation  null: by the twin sized from what is known of the circuit
     */
    public function of(
        Findings $findings,
        int $checks = 5,
        int $explained = 3,
        ?Expectation $expectation = null,
    ): Verdict {
        $all = Figures::of($findings, $this->rules);
        $contradictions = Contradictions::in($findings, $this->rules, $all);
        $doubted = Contradictions::doubted($contradictions, $findings);
        $entered = $findings;
        $findings = $entered->without($doubted);
        $figures = $findings === $entered ? $all : Figures::of($findings, $this->rules);
        $expectation ??= $this->twins->expectation($findings, $this->rules);
        $conditions = new Conditions($findings, $expectation->isCold());
        $signals = self::signals($findings, $figures, $expectation);
        $weights = new CatalogueWeights($conditions);
        $open = Hypotheses::open($weights, $findings->confirmed, $findings->ruledOut);
        $weighing = new Weighing($open, $findings, $signals);
        $suspects = self::suspects($weighing, $explained);
        $gates = new Gates($findings, $figures, $this->rules);
        $charge = $gates->charge();
        $referral = Cautions::referral($findings->circuit->refrigerant);

        return new Verdict(
            suspects: $suspects,
            checks: $checks === 0 || $referral !== null
                ? []
                : (new NextChecks($findings, $weighing, $expectation))->ranked($checks),
            contradictions: $contradictions,
            doubted: $doubted,
            settled: $gates->settled(),
            charge: $charge,
            signals: $signals,
            cautions: $this->cautions($entered, $all, $suspects, $charge),
            doubtfulRulings: $this->doubtful($findings, $weights, $signals),
            figures: $all,
            blank: $entered->isEmpty(),
            referral: $referral,
            proven: $entered->confirmed !== [],
        );
    }

    /** @return array<string, Signal> by Sign */
    private static function signals(Findings $findings, Figures $figures, Expectation $expectation): array
    {
        $measured = new Signals($findings, $figures, $expectation->yardstick());
        $signals = [];
        foreach (Sign::cases() as $sign) {
            $value = $measured->measured($sign);
            $expected = $value === null ? null : $expectation->healthy($sign);
            if ($value !== null && $expected !== null) {
                $supposed = $sign === Sign::TdSuction && $findings->reading(Reading::BoxTemperature) === null;
                $signals[$sign->value] = new Signal(
                    $sign,
                    $value,
                    $supposed ? $expected->blurred(self::BOX_UNREAD) : $expected,
                );
            }
        }

        return $signals;
    }

    /** @return non-empty-list<Suspect> */
    private static function suspects(Weighing $weighing, int $explained): array
    {
        $suspects = [];
        foreach ($weighing->byFault() as $key => $probability) {
            $fault = Fault::from($key);
            $suspects[] =
                count($suspects) < $explained
                    ? self::explained($weighing, $fault, $probability)
                    : new Suspect($fault, $probability);
        }
        assert($suspects !== []);

        return $suspects;
    }

    private static function explained(Weighing $weighing, Fault $fault, float $probability): Suspect
    {
        $for = $against = [];
        foreach ($weighing->weightsFor($fault) as [$piece, $weight]) {
            if ($weight > self::LEAST_WEIGHT) {
                $for[] = [$piece, $weight];
            } elseif ($weight < -self::LEAST_WEIGHT) {
                $against[] = [$piece, $weight];
            }
        }

        return new Suspect($fault, $probability, $for, $against);
    }

    /**
     * What stands first: what may happen now, then the charge, then the refrigerant's own and the first suspect's.
     *
     * @param  non-empty-list<Suspect>  $suspects
     * @return list<string>
     */
    private function cautions(Findings $findings, Figures $figures, array $suspects, Gate $charge): array
    {
        $own = Cautions::ofRefrigerant($findings->circuit->refrigerant);
        $ofFirst = array_diff($suspects[0]->entry()->cautions, ['charge_gate']);
        $words = [
            ...$this->discharge($findings),
            ...self::liquid($findings, $figures),
            ...$findings->isEmpty() ? [] : self::shortage($suspects, $charge),
            ...$own,
            ...$findings->isEmpty() ? [] : Cautions::words(array_values($ofFirst)),
        ];

        return array_values(array_unique($words));
    }

    /** @return list<string> */
    private function discharge(Findings $findings): array
    {
        $pipe = $findings->reading(Reading::DischargeTemperature);
        $limit = (new Wanted($findings->circuit, $this->rules))->dischargeLimit();

        return match (true) {
            $pipe === null || $pipe < $limit->low => [],
            $pipe >= $limit->high => [
                'Discharge pipe at or above the limit: stop and find the reason before it runs on.',
            ],
            default => ['Discharge pipe near its limit: oil suffers.'],
        };
    }

    /** @return list<string> */
    private static function liquid(Findings $findings, Figures $figures): array
    {
        $superheat = $figures->value(Derived::CompressorSuperheat);

        return $superheat === null || $superheat >= self::WET_COMPRESSOR || $findings->isOff()
            ? []
            : ['Superheat at the compressor below 3 K: liquid may be reaching it.'];
    }

    /**
     * @param  list<Suspect>  $suspects
     * @return list<string>
     */
    private static function shortage(array $suspects, Gate $charge): array
    {
        $probability = 0.0;
        foreach ($suspects as $suspect) {
            $probability += Verdict::isShortage($suspect->fault) ? $suspect->probability : 0.0;
        }

        return $probability > self::SHORTAGE
            ? [Cautions::word($charge->isOpen() ? 'licence' : 'charge_gate')]
            : [];
    }

    /**
     * @param  array<string, Signal>  $signals
     * @return list<Fault>
     */
    private function doubtful(Findings $findings, Weights $weights, array $signals): array
    {
        if ($findings->ruledOut === []) {
            return [];
        }
        $open = (new Weighing(
            Hypotheses::open($weights, $findings->confirmed, []),
            $findings,
            $signals,
        ))->byFault();

        return array_values(
            array_filter(
                $findings->ruledOut,
                static fn (Fault $fault): bool => ($open[$fault->value] ?? 0.0) > self::DOUBTED,
            ),
        );
    }
}
