<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Fault;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Reading;
use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Plant\Expectation;
use Metrum\Plant\TwinExpectation;

/** Weighs what was found against what the plant should read, and says what to look at next. */
final readonly class Diagnosis
{
    public function __construct(private HouseRules $rules = new HouseRules())
    {
    }

    /**
     * @param  int  $checks  how many next checks are wanted
     * @param  int  $explained  for how many suspects the evidence is wanted
     * @param  ?Expectation  $expectation  null: the twin sized from what is known of the circuit
     */
    public function of(
        Findings $findings,
        int $checks = 5,
        int $explained = 3,
        ?Expectation $expectation = null,
    ): Verdict {
        $figures = Figures::of($findings, $this->rules);
        $expectation ??= new TwinExpectation($findings, $this->rules);
        $conditions = new Conditions($findings, $expectation);
        $signals = (new Signals($findings, $figures, $expectation))->all();
        $weights = new CatalogueWeights($findings, $conditions);
        $weighing = new Weighing(
            Hypotheses::open($weights, $findings->confirmed, $findings->ruledOut),
            $findings,
            $signals,
        );
        $suspects = [];
        foreach ($weighing->byFault() as $key => $probability) {
            $fault = Fault::from($key);
            $suspects[] =
                count($suspects) < $explained
                    ? $this->explained($weighing, $fault, $probability)
                    : new Suspect($fault, $probability);
        }

        return new Verdict(
            $suspects,
            $checks === 0
                ? []
                : (new NextChecks($findings, $weighing, $expectation, $conditions))->ranked($checks),
            (new Contradictions($findings, $figures))->all(),
            SettledGate::failing($findings, $figures, $this->rules),
            ChargeGate::missing($findings, $figures),
            $signals,
            $this->cautions($findings, $figures, $suspects),
            $this->doubtful($findings, $weights, $signals),
            $figures,
            $findings->isEmpty(),
        );
    }

    private function explained(Weighing $weighing, Fault $fault, float $probability): Suspect
    {
        $for = $against = [];
        foreach ($weighing->weightsFor($fault) as [$piece, $weight]) {
            if ($weight > 0.12) {
                $for[] = [$piece, $weight];
            } elseif ($weight < -0.12) {
                $against[] = [$piece, $weight];
            }
        }

        return new Suspect($fault, $probability, $for, $against);
    }

    /**
     * @param  list<Suspect>  $suspects
     * @return list<string>
     */
    private function cautions(Findings $findings, Figures $figures, array $suspects): array
    {
        $words = Cautions::ofRefrigerant($findings->circuit->refrigerant);
        $first = $suspects[0] ?? null;
        if ($first !== null && ! $findings->isEmpty()) {
            foreach ($first->entry()->cautions as $key) {
                if ($key !== 'charge_gate') {
                    $words[] = Cautions::word($key);
                }
            }
        }
        $shortage = array_sum(
            array_map(
                static fn (Suspect $one): float => Verdict::isShortage($one->fault) ? $one->probability : 0.0,
                $suspects,
            ),
        );
        if ($shortage > 0.15 && ! $findings->isEmpty()) {
            $needs = ChargeGate::missing($findings, $figures);
            array_unshift($words, $needs === [] ? Cautions::word('licence') : Cautions::word('charge_gate'));
        }
        $superheat = $figures->value(Derived::CompressorSuperheat);
        if ($superheat !== null && $superheat < 3.0 && ! $findings->isOff()) {
            array_unshift($words, 'Superheat at the compressor below 3 K: liquid may be reaching it.');
        }
        $pipe = $findings->reading(Reading::DischargeTemperature);
        $limit = (new \Metrum\Circuit\Wanted($findings->circuit, $this->rules))->dischargeLimit();
        if ($pipe !== null && $pipe >= $limit->low) {
            array_unshift(
                $words,
                $pipe >= $limit->high
                    ? 'Discharge pipe at or above the limit: stop and find the reason before it runs on.'
                    : 'Discharge pipe near its limit: oil suffers.',
            );
        }

        return array_values(array_unique($words));
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
                static fn (Fault $fault): bool => ($open[$fault->value] ?? 0.0) > 0.5,
            ),
        );
    }
}
