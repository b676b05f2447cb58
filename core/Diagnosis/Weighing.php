<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Diagnosis\Seen\AmongFirst;
use Metrum\Diagnosis\Seen\Consequences;
use Metrum\Diagnosis\Seen\FoundState;
use Metrum\Diagnosis\Seen\Raises;
use Metrum\Diagnosis\Seen\SeenFault;
use Metrum\Findings\Sign;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Question;

/**
 * Adds up what the curves say, fault by fault: prior and evidence in nats. The probabilities are their softmax; what
 * was not looked at adds nothing.
 */
final class Weighing
{
    /** Nats from which a thing speaks clearly against a fault. */
    private const CLEARLY = 0.3;

    public readonly Words $words;

    /** @var array<int, float> nats by place, at a plant of which so much was said */
    public readonly array $prior;

    /** @var list<Evidence> */
    public readonly array $evidence;

    /** @var array<string, float|string> by name: what the plant shows, with what is confirmed still in it */
    public readonly array $features;

    private readonly Raises $raises;

    /** @var list<FoundState> */
    private readonly array $found;

    /** @var list<bool> by place: whether the fault is still in question at such a plant */
    private readonly array $open;

    /** @var array<int, float> nats by place, of faults that are open */
    public readonly array $scores;

    /** @var array<int, float> probability by place; 0 of what is closed */
    public readonly array $posterior;

    /**
     * @param  ?ConfirmedFaults  $confirmed  what is proven already and what that explains; null: nothing is
     * @param  ?JudgedPlant  $plant  what is held of all of it, where it is one of several circuits
     */
    public function __construct(
        public readonly Curves $curves,
        private readonly Examination $examined,
        ?ConfirmedFaults $confirmed = null,
        ?JudgedPlant $plant = null,
    ) {
        $this->words = new Words($curves, $examined->conditions);
        $this->features = Features::of($examined);
        $this->found = FoundState::in($examined->findings);
        $priors = new Priors($curves, $examined);
        $this->open = $plant === null ? $priors->open : $this->openOf($plant, $priors->open);
        $this->prior = $priors->nats;
        $this->raises = new Raises($curves, $examined, $priors);
        $pieces = new Pieces($curves, $this->words, $examined, $this->raises, $this->found);
        $own = $pieces->of($this->features, $confirmed);
        $scores = self::added($this->prior, $own);
        if ($plant === null) {
            $this->evidence = $own;
            $this->scores = $scores;
            $this->posterior = $this->causesFirst($this->softmax($scores));

            return;
        }
        // Causes and consequences were told apart where the whole plant was judged.
        $rest = new Evidence(Pieces::PLANT, $plant->beside($curves->faults, $this->softmax($scores)));
        $this->evidence = [...$own, $rest];
        $this->scores = self::added($scores, [$rest]);
        $this->posterior = $this->softmax($this->scores);
    }

    /**
     * @param  array<int, float>  $scores  nats by place
     * @param  list<Evidence>  $evidence
     * @return array<int, float>
     */
    private static function added(array $scores, array $evidence): array
    {
        foreach ($evidence as $piece) {
            foreach ($piece->weights as $place => $weight) {
                $scores[$place] += $weight;
            }
        }

        return $scores;
    }

    /**
     * What the judge of the plant holds possible is open, unless it was ruled out.
     *
     * @param  list<bool>  $open  by place
     * @return list<bool>
     */
    private function openOf(JudgedPlant $plant, array $open): array
    {
        $findings = $this->examined->findings;
        foreach ($this->curves->faults as $place => $fault) {
            $isClosed = in_array($fault, [...$findings->ruledOut, ...$findings->confirmed], true);
            $open[$place] = $open[$place] || ($plant->knows($fault) && ! $isClosed);
        }

        return array_values($open);
    }

    /**
     * @param  array<int, float>  $chances  by place
     * @return array<int, float> by place
     */
    private function causesFirst(array $chances): array
    {
        $seen = [];
        foreach ($this->seen() as $one) {
            foreach ($one->faults as $fault) {
                $seen[$fault->value] = $one->sureness();
            }
        }
        if ($seen === []) {
            return $chances;
        }
        $unraised = $this->scores;
        foreach ($this->raises->nats as $place => $raise) {
            $unraised[$place] -= $raise;
        }
        $ranked = (new Consequences(
            $this->named($this->softmax($unraised)),
            $seen,
            $this->found,
            $this->raises->share(),
            $this->told(...),
        ))->behind(
            $this->named($chances),
        );
        $ranked = (new AmongFirst($this->seen(), $this->against(...)))->kept($ranked);
        foreach ($this->curves->faults as $place => $fault) {
            $chances[$place] = $ranked[$fault->value] ?? 0.0;
        }

        return $chances;
    }

    /** How many things that were measured speak clearly against a fault, beside what else may be. */
    private function against(Fault $fault): int
    {
        $against = 0;
        foreach ($this->weightsFor($fault) as [$piece, $weight]) {
            $against += $piece->isMeasured() && $weight < -self::CLEARLY ? 1 : 0;
        }

        return $against;
    }

    /** Nats by which answers that are no fault themselves speak for one fault more than for another. */
    private function told(Fault $one, Fault $other): float
    {
        [$own, $its] = [$this->curves->placeOf($one), $this->curves->placeOf($other)];
        $seen = array_map(static fn (SeenFault $seen): Question|Sign => $seen->asked, $this->examined->seen);
        $told = 0.0;
        foreach ($this->evidence as $piece) {
            $isPlain = $piece->asked !== null && ! in_array($piece->asked, $seen, true);
            $told += $isPlain ? $piece->weights[$own] - $piece->weights[$its] : 0.0;
        }

        return $told;
    }

    /**
     * @param  array<int, float>  $chances  by place
     * @return array<string, float> by Fault, of those that are open
     */
    private function named(array $chances): array
    {
        $named = [];
        foreach ($this->curves->faults as $place => $fault) {
            if ($this->open[$place]) {
                $named[$fault->value] = $chances[$place];
            }
        }

        return $named;
    }

    /** @return list<SeenFault> faults that are plain to see and neither proven nor ruled out */
    public function seen(): array
    {
        return array_values(
            array_filter(
                $this->examined->seen,
                fn (SeenFault $one): bool => array_filter(
                    $one->faults,
                    fn (Fault $fault): bool => $this->open[$this->curves->placeOf($fault)],
                ) !== [],
            ),
        );
    }

    /**
     * Probabilities of scores; 0 of what is closed.
     *
     * @param  array<int, float>  $scores
     * @return array<int, float>
     */
    public function softmax(array $scores): array
    {
        $top = -INF;
        foreach ($scores as $place => $score) {
            $top = $this->open[$place] ? max($top, $score) : $top;
        }
        $sum = 0.0;
        foreach ($scores as $place => $score) {
            $scores[$place] = $this->open[$place] ? exp($score - $top) : 0.0;
            $sum += $scores[$place];
        }

        return array_map(static fn (float $one): float => $one / $sum, $scores);
    }

    /** @return array<string, float> probability by fault, highest first; what is closed is left out */
    public function byFault(): array
    {
        $faults = $this->named($this->posterior);
        arsort($faults);

        return $faults;
    }

    /**
     * What each piece says for a fault: its curve's value, less what it says for all that is open on the average.
     *
     * @return list<array{Evidence, float}> heaviest first
     */
    public function weightsFor(Fault $fault): array
    {
        $own = $this->curves->placeOf($fault);
        $usual = $this->softmax($this->prior);
        $weights = [];
        foreach ($this->evidence as $piece) {
            $mean = 0.0;
            foreach ($usual as $place => $share) {
                $mean += $share * $piece->weights[$place];
            }
            $weights[] = [$piece, $piece->weights[$own] - $mean];
        }
        usort($weights, static fn (array $a, array $b): int => abs($b[1]) <=> abs($a[1]));

        return $weights;
    }
}
