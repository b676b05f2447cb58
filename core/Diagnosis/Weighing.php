<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\Complaint;
use Metrum\Circuit\Fault;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Question;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Test;
use Metrum\Circuit\Word;
use Metrum\Diagnosis\Seen\AmongFirst;
use Metrum\Diagnosis\Seen\Consequences;
use Metrum\Diagnosis\Seen\Found;
use Metrum\Diagnosis\Seen\Seen;
use Metrum\Findings\Derived;
use Metrum\Findings\Share;
use Metrum\Findings\Sign;

/**
 * Adds up what the curves say, fault by fault: prior and evidence in nats. The probabilities are their softmax; what
 * was not looked at adds nothing.
 */
final class Weighing
{
    public const CONTEXT = 'context';

    private const MOVE = 'move';

    /** Chances that nothing else is wrong where one fault is proven, to one that something is. */
    private const NOTHING_ELSE = 9.0;

    /** Deviations above which a sign that alarms is no sound plant's, and up to which more says more. */
    private const ALARMING = 3.0;

    private const MOST_ALARM = 6.0;

    public readonly Words $words;

    /** @var array<int, float> nats by place, at a plant of which so much was said */
    public readonly array $prior;

    /** @var list<Evidence> */
    public readonly array $evidence;

    /** @var array<string, float|string> by name: what the plant shows, with what is confirmed still in it */
    public readonly array $features;

    /** @var array<int, float> nats by place that faults got because they were seen */
    private array $raises = [];

    /** @var list<Found> */
    private readonly array $found;

    /** @var list<bool> by place: whether the fault is still in question at such a plant */
    private readonly array $open;

    /** @var array<int, float> nats by place, of faults that are open */
    public readonly array $scores;

    /** @var array<int, float> probability by place; 0 of what is closed */
    public readonly array $posterior;

    /**
     * @param  ?Confirmed  $confirmed  what is proven already and what that explains; null: nothing is
     */
    public function __construct(
        public readonly Curves $curves,
        private readonly Examination $examined,
        ?Confirmed $confirmed = null,
    ) {
        $this->words = new Words($curves, $examined->conditions);
        $this->open = self::stillOpen($curves, $examined);
        $this->features = Features::of($examined);
        $this->found = Found::in($examined->findings);
        $this->prior = $this->priors();
        $this->evidence = [
            ...$this->moves(),
            ...$this->found(),
            ...$this->pieces($confirmed?->without($this->features) ?? $this->features, $confirmed),
        ];
        $scores = $this->prior;
        foreach ($this->evidence as $piece) {
            foreach ($piece->weights as $place => $weight) {
                $scores[$place] += $weight;
            }
        }
        $this->scores = $scores;
        $this->posterior = $this->causesFirst($this->softmax($scores));
    }

    /**
     * @param  array<int, float>  $chances  by place
     * @return array<int, float> by place
     */
    private function causesFirst(array $chances): array
    {
        $seen = $raised = [];
        foreach ($this->seen() as $one) {
            foreach ($one->faults as $fault) {
                $seen[$fault->value] = $one->sureness();
                $raised[$this->curves->placeOf($fault)] = true;
            }
        }
        if ($raised === []) {
            return $chances;
        }
        $unraised = $this->scores;
        foreach ($this->raises as $place => $raise) {
            $unraised[$place] -= $raise;
        }
        $ranked = (new Consequences($this->named($this->softmax($unraised)), $seen, $this->found))->behind(
            $this->named($chances),
        );
        $ranked = (new AmongFirst($this->examined))->kept($ranked);
        foreach ($this->curves->faults as $place => $fault) {
            $chances[$place] = $ranked[$fault->value] ?? 0.0;
        }

        return $chances;
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

    /** @return list<Seen> faults that are plain to see and neither proven nor ruled out */
    public function seen(): array
    {
        return array_values(
            array_filter(
                $this->examined->seen,
                fn (Seen $one): bool => array_filter(
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

    /**
     * Neither proven nor ruled out, and possible at such a plant; where that leaves none, that nothing more is wrong.
     *
     * @return list<bool>
     */
    private static function stillOpen(Curves $curves, Examination $examined): array
    {
        $closed = [...$examined->findings->confirmed, ...$examined->findings->ruledOut];
        $open = array_map(
            static fn (Fault $fault): bool => ! in_array($fault, $closed, true) &&
                $examined->conditions->fits(FaultCatalogue::entry($fault)->fit),
            $curves->faults,
        );

        return in_array(true, $open, true)
            ? $open
            : array_map(static fn (Fault $fault): bool => $fault === Fault::NoFault, $curves->faults);
    }

    /**
     * @param  array<string, float|string>  $features
     * @return list<Evidence>
     */
    private function pieces(array $features, ?Confirmed $confirmed): array
    {
        /** @var array<string, Evidence> $pieces */
        $pieces = [];
        $context = array_fill(0, count($this->curves->faults), 0.0);
        $withheld = new Withheld($this->examined->findings);
        foreach ($features as $feature => $value) {
            if ($withheld->holds($feature) || $this->isFound(Setting::plain($feature))) {
                continue;
            }
            $weights = $this->said($feature, $value);
            if ($weights === null) {
                continue;
            }
            $left = $confirmed?->leftOf($feature, $value) ?? 1.0;
            $weights =
                $left === 1.0 ? $weights : array_map(static fn (float $one): float => $left * $one, $weights);
            $plain = Setting::plain($feature);
            $sign = Alongside::of($plain, $pieces);
            if ($sign !== null) {
                $pieces[$sign] = $pieces[$sign]->saying($weights);

                continue;
            }
            $piece = $this->piece($feature, $value, $weights);
            if ($piece !== null) {
                $pieces[$plain] = $piece;

                continue;
            }
            foreach ($weights as $place => $weight) {
                $context[$place] += $weight;
            }
        }
        $pieces = array_map($this->onItsSide(...), $pieces);
        $pieces[] = (new Evidence(self::CONTEXT, $context))->saying(
            $this->asWhatTheyShow(array_values($pieces)),
        );

        return array_values($pieces);
    }

    /**
     * A fault of a part of which nobody said whether it is fitted is as seldom as such parts are at its kind.
     *
     * @return array<int, float>
     */
    private function priors(): array
    {
        $circuit = $this->examined->findings->circuit;
        $priors = $this->curves->prior;
        foreach ($this->curves->faults as $place => $fault) {
            foreach (FaultCatalogue::entry($fault)->fit->unsaid($circuit) as $part) {
                $priors[$place] += log($circuit->kind?->usual()->chanceOf($part) ?? 1.0);
            }
        }
        if ($this->examined->findings->confirmed !== []) {
            $priors[$this->curves->placeOf(Fault::NoFault)] = self::nothingElse($priors, $this->open);
        }

        return $priors;
    }

    /**
     * Where a fault is proven, nothing else has nine chances in ten before anything speaks for more.
     *
     * @param  array<int, float>  $priors
     * @param  list<bool>  $open
     */
    private static function nothingElse(array $priors, array $open): float
    {
        $others = 1e-9;
        foreach ($priors as $place => $prior) {
            $others += $open[$place] ? exp($prior) : 0.0;
        }

        return log(self::NOTHING_ELSE * $others);
    }

    /** @return list<Evidence> what is wrong although nobody may have complained of it */
    private function found(): array
    {
        return array_map(
            fn (Found $one): Evidence => new Evidence(
                'found '.$one->what->value,
                $this->words->ofFound($one->what),
                found: $one,
            ),
            $this->found,
        );
    }

    /** What was found is said once, whoever complained of it and whichever figure shows it. */
    private function isFound(string $feature): bool
    {
        foreach ($this->found as $one) {
            if ($one->says($feature)) {
                return true;
            }
        }

        return false;
    }

    /**
     * What a thing found says of each fault: of words by how often they are said, of figures as it was learned.
     *
     * @return ?array<int, float> nats by place
     */
    private function said(string $feature, float|string $value): ?array
    {
        [$kind, $key] = explode(' ', Setting::plain($feature).' ');

        return match ($kind) {
            'word' => $this->answer(Observation::tryFrom($key) ?? Test::from($key), Word::from((string) $value)),
            'complaint' => $this->words->ofComplaint(Complaint::from($key)),
            'sign' => $this->asSeen(Sign::from($key), $this->curves->weightsOf($feature, $value)),
            default => $this->curves->weightsOf($feature, $value),
        };
    }

    /** @return array<int, float> nats by place */
    private function answer(Question $asked, Word $word): array
    {
        return $this->asSeen($asked, $this->words->weights($asked, $word)) ?? [];
    }

    /**
     * What is a fault makes it as likely as it is surely seen, where nothing else was found; against what was measured
     * it still has to stand.
     *
     * @param  ?array<int, float>  $weights
     * @return ?array<int, float> nats by place
     */
    private function asSeen(Question|Sign $asked, ?array $weights): ?array
    {
        foreach ($weights === null ? [] : $this->examined->seen as $seen) {
            if ($seen->asked === $asked) {
                $weights = $this->raised($weights ?? [], $seen);
            }
        }

        return $weights;
    }

    /**
     * @param  array<int, float>  $weights
     * @return array<int, float>
     */
    private function raised(array $weights, Seen $seen): array
    {
        $places = array_map($this->curves->placeOf(...), $seen->faults);
        $there = $others = 1e-12;
        foreach ($weights as $place => $weight) {
            if ($this->open[$place]) {
                $odds = exp($this->prior[$place] + $weight);
                in_array($place, $places, true) ? ($there += $odds) : ($others += $odds);
            }
        }
        $raise = log(($seen->sureness() * $others) / ((1 - $seen->sureness()) * $there));
        foreach ($places as $place) {
            $this->raises[$place] = ($this->raises[$place] ?? 0.0) + max(0.0, $raise) * max((float)(getenv('FLOOR')?:0.0), 1 - count($this->examined->signals) / (float)(getenv('TAPER')?:12));
            $weights[$place] += max(0.0, $raise) * max((float)(getenv('FLOOR')?:0.0), 1 - count($this->examined->signals) / (float)(getenv('TAPER')?:6));
        }

        return $weights;
    }

    /**
     * What the twin does not carry shows as something that it carries: a dead heater as an iced coil.
     *
     * @param  list<Evidence>  $pieces
     * @return array<int, float> nats by place
     */
    private function asWhatTheyShow(array $pieces): array
    {
        $measured = array_fill(0, count($this->curves->faults), 0.0);
        foreach ($pieces as $piece) {
            foreach ($piece->isMeasured() ? $piece->weights : [] as $place => $weight) {
                $measured[$place] += $weight;
            }
        }
        $more = array_fill(0, count($measured), 0.0);
        foreach ($this->curves->faults as $place => $fault) {
            foreach (FaultCatalogue::entry($fault)->showsAs as $name => $often) {
                $apart = $measured[$this->curves->placeOf(Fault::from($name))] - $measured[$place];
                $more[$place] = max($more[$place], log(1 - $often + $often * exp($apart)));
            }
        }

        return $more;
    }

    /** What is on the other side than a fault moves it to counts nothing for that fault. */
    private function onItsSide(Evidence $piece): Evidence
    {
        $taken = [];
        foreach ($this->curves->faults as $place => $fault) {
            $taken[$place] = $piece->isOnOtherSide($fault) ? -max(0.0, $piece->weights[$place]) : 0.0;
        }

        return $piece->signal === null ? $piece : $piece->saying($taken);
    }

    /** @return list<Evidence> what moves came to; the last of each control says it */
    private function moves(): array
    {
        $pieces = [];
        foreach ($this->examined->findings->moved as $moved) {
            $speech = $moved->speech();
            $key = $moved->control->value.' '.$moved->subject;
            unset($pieces[$key]);
            if ($speech === null) {
                continue;
            }
            $weights = array_map(
                static fn (Fault $fault): float => $speech->faults[$fault->value] ?? 0.0,
                $this->curves->faults,
            );
            $pieces[$key] = new Evidence(self::MOVE.' '.$key, $weights, speech: $speech);
        }

        return array_values($pieces);
    }

    /**
     * @param  array<int, float>  $weights
     * @return ?Evidence null where it is context
     */
    private function piece(string $feature, float|string $value, array $weights): ?Evidence
    {
        [$kind, $key] = explode(' ', Setting::plain($feature).' ');
        $findings = $this->examined->findings;

        return match ($kind) {
            'sign' => $this->signal($feature, $this->examined->signals[$key], $weights),
            'reading' => new Evidence($feature, $weights, reading: $this->read(Reading::from($key))),
            'share' => new Evidence($feature, $weights, share: [Share::from($key), (float) $value]),
            'figure' => new Evidence($feature, $weights, figure: $this->examined->figures->figure(Derived::from($key))),
            'word' => new Evidence(
                $feature,
                $weights,
                asked: Observation::tryFrom($key) ?? Test::from($key),
                word: $findings->observations[$key] ?? ($findings->tests[$key] ?? Word::from((string) $value)),
            ),
            'complaint' => new Evidence($feature, $weights, complaint: Complaint::from($key)),
            default => null,
        };
    }

    /**
     * Beyond doubt on the side that alarms, some signs are never a sound plant's, whatever else looks well.
     *
     * @param  array<int, float>  $weights
     */
    private function signal(string $feature, Signal $signal, array $weights): Evidence
    {
        $beyond = min(self::MOST_ALARM, $signal->sign->row()->alarm->beyond($signal->deviations()));
        if ($beyond > self::ALARMING) {
            $sound = $this->curves->placeOf(Fault::NoFault);
            $weights[$sound] -= 0.5 * ($beyond ** 2 - self::ALARMING ** 2);
        }

        return new Evidence($feature, $weights, signal: $signal);
    }

    /** @return ?array{Reading, float, \Metrum\Plant\Expected} */
    private function read(Reading $reading): ?array
    {
        $value = $this->examined->findings->reading($reading);
        $expected = $this->examined->expectation->reading($reading);

        return $value === null || $expected === null ? null : [$reading, $value, $expected];
    }
}
