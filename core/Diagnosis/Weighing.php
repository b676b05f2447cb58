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
use Metrum\Diagnosis\Seen\Found;
use Metrum\Diagnosis\Seen\Seen;
use Metrum\Findings\Derived;
use Metrum\Findings\Share;

/**
 * Adds up what the curves say, fault by fault: prior and evidence in nats. The probabilities are their softmax; what
 * was not looked at adds nothing.
 */
final class Weighing
{
    public const CONTEXT = 'context';

    private const MOVE = 'move';

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
        $this->posterior = $this->softmax($scores);
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
        $faults = [];
        foreach ($this->curves->faults as $place => $fault) {
            if ($this->open[$place]) {
                $faults[$fault->value] = $this->posterior[$place];
            }
        }
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
            if ($withheld->holds($feature) || $this->isFound($feature)) {
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
        $pieces[] = new Evidence(self::CONTEXT, $context);

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

        return $priors;
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

    /** A complaint of what was found is said once. */
    private function isFound(string $feature): bool
    {
        foreach ($this->found as $one) {
            if ($feature === 'complaint '.$one->what->value) {
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
            'word' => $this->answer(
                Observation::tryFrom($key) ?? Test::from($key),
                Word::from((string) $value),
            ),
            'complaint' => $this->words->ofComplaint(Complaint::from($key)),
            default => $this->curves->weightsOf($feature, $value),
        };
    }

    /**
     * An answer that is a fault makes it as likely as such an answer is sure, where nothing else was found; against
     * what was measured it still has to stand.
     *
     * @return array<int, float> nats by place
     */
    private function answer(Question $asked, Word $word): array
    {
        $weights = $this->words->weights($asked, $word);
        foreach ($this->examined->seen as $seen) {
            if ($seen->asked === $asked) {
                $weights = $this->raised($weights, $seen);
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
            $weights[$place] += max(0.0, $raise) * max((float)(getenv('FLOOR')?:0.0), 1 - count($this->examined->signals) / (float)(getenv('TAPER')?:6));
        }

        return $weights;
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
