<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Diagnosis\Seen\Explained;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Wanted;
use Metrum\Twin\Expectation;
use Metrum\Twin\Twins;

/** Weighs what was found against what the plant should read, and says what to look at next. */
final readonly class Diagnosis
{
    /** Nats below which a piece of evidence is not named for or against. */
    private const LEAST_WEIGHT = 0.12;

    /** Probability of a shortage from which its caution stands. */
    private const SHORTAGE = 0.15;

    /** K at the compressor below which liquid may be reaching it. */
    private const WET_COMPRESSOR = 3.0;

    /** Probability that a fault ruled out would have had, from which that is doubted. */
    private const DOUBTED = 0.5;

    public function __construct(
        private HouseRules $rules = new HouseRules(),
        private Twins $twins = new Twins(),
        private ?Curves $curves = null,
        private ?JudgedPlant $plant = null,
    ) {
    }

    /** The same of a circuit of a plant that was judged as a whole. */
    public function within(?JudgedPlant $plant): self
    {
        return new self($this->rules, $this->twins, $this->curves, $plant);
    }

    /**
     * @param  int  $checks  how many next checks are wanted
     * @param  int  $explained  for how many suspects the evidence is wanted
     * @param  ?Expectation  $expectation  null: by the twin sized from what is known of the circuit
     * @param  bool  $together  whether two faults at once are looked for
     */
    public function of(
        Findings $findings,
        int $checks = 5,
        int $explained = 3,
        ?Expectation $expectation = null,
        bool $together = false,
    ): Verdict {
        $examined = Examination::of($findings, $this->rules, $this->twins, $expectation, $this->plant);
        $curves = $this->curves ?? Curves::learned(CurveSet::of($findings->circuit));
        $confirmed = ConfirmedFaults::at($examined, $findings->confirmed, $curves, $this->rules);
        // What is left once a fault is proven is judged with that in the circuit.
        $plant = $findings->confirmed === [] ? $this->plant : null;
        $weighing = new Weighing($curves, $examined, $confirmed, $plant);
        $suspects = $this->suspects($weighing, $examined, $explained);
        $gates = new Gates($examined->findings, $examined->figures, $this->rules);
        $charge = $gates->charge();
        $referral = Cautions::referral($findings->circuit->refrigerant);

        return new Verdict(
            suspects: $suspects,
            checks: $checks === 0 || $referral !== null
                ? []
                : (new NextChecks($examined, $weighing))->ranked($checks),
            contradictions: $examined->contradictions,
            doubted: $examined->doubted,
            settled: $gates->settled(),
            charge: $charge,
            signals: $examined->signals,
            cautions: $this->cautions($findings, $examined->all, $suspects, $charge),
            doubtfulRulings: self::doubtful($curves, $examined, $confirmed),
            figures: $examined->all,
            blank: $findings->isEmpty(),
            referral: $referral,
            proven: $findings->confirmed !== [],
            together: $together && $plant === null
                ? (new FaultPair($curves, $this->rules))->of($examined, $weighing)
                : null,
            seen: $weighing->seen(),
            explained: $together ? $this->explainedBySeen($weighing, $examined) : null,
        );
    }

    /** @return non-empty-list<Suspect> */
    private function suspects(Weighing $weighing, Examination $examined, int $explained): array
    {
        $suspects = [];
        foreach ($weighing->byFault() as $key => $probability) {
            $fault = Fault::from($key);
            $suspects[] =
                count($suspects) < $explained
                    ? $this->explained($weighing, $examined, $fault, $probability)
                    : new Suspect($fault, $probability);
        }
        assert($suspects !== []);

        return $suspects;
    }

    private function explained(
        Weighing $weighing,
        Examination $examined,
        Fault $fault,
        float $probability,
    ): Suspect {
        $for = $against = [];
        foreach ($weighing->weightsFor($fault) as [$piece, $weight]) {
            // What counts less against this fault than against others is nothing for it all the same.
            if ($piece->isContext() || ($weight > 0.0 && $piece->isOnOtherSide($fault))) {
                continue;
            }
            if ($weight > self::LEAST_WEIGHT && ($fault === Fault::NoFault || ! $piece->isAsPlanned())) {
                $for[] = [$piece, $weight];
            } elseif ($weight < -self::LEAST_WEIGHT) {
                $against[] = [$piece, $weight];
            }
        }

        return new Suspect(
            $fault,
            $probability,
            $for,
            $against,
            $weighing->curves->grade($fault, $weighing->features),
            Causes::of($fault, $examined->findings),
        );
    }

    /** Whether what is seen explains the rest. */
    private function explainedBySeen(Weighing $weighing, Examination $examined): ?Explained
    {
        $seen = [];
        foreach ($weighing->seen() as $one) {
            $seen = [...$seen, $one->faults[0]];
        }
        $seen = array_values(array_unique($seen, SORT_REGULAR));
        $with = $examined->signals === []
            ? null
            : ConfirmedFaults::at($examined, $seen, $weighing->curves, $this->rules);

        return $with === null ? null : Explained::of($examined, $with, $weighing->features);
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
            ...Cautions::words(StandingCautions::in($findings)),
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
                'Discharge line at or above its limit: stop the compressor and find the cause before restarting.',
            ],
            default => ['Discharge line near its limit: oil is breaking down.'],
        };
    }

    /** @return list<string> */
    private static function liquid(Findings $findings, Figures $figures): array
    {
        $superheat = $figures->value(DerivedFigure::CompressorSuperheat);

        return $superheat === null || $superheat >= self::WET_COMPRESSOR || $findings->isOff()
            ? []
            : Cautions::words(['wet_compressor']);
    }

    /**
     * @param  list<Suspect>  $suspects
     * @return list<string>
     */
    private static function shortage(array $suspects, Gate $charge): array
    {
        return Verdict::chanceOfShortage($suspects) > self::SHORTAGE
            ? [Cautions::word($charge->isOpen() ? 'licence' : 'charge_gate')]
            : [];
    }

    /** @return list<Fault> that were ruled out although the evidence favours them */
    private static function doubtful(Curves $curves, Examination $examined, ?ConfirmedFaults $confirmed): array
    {
        $ruledOut = $examined->findings->ruledOut;
        if ($ruledOut === []) {
            return [];
        }
        $open = (new Weighing($curves, $examined->nothingRuledOut(), $confirmed))->byFault();

        return array_values(
            array_filter(
                $ruledOut,
                static fn (Fault $fault): bool => ($open[$fault->value] ?? 0.0) > self::DOUBTED,
            ),
        );
    }
}
