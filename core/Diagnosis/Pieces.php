<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Diagnosis\Seen\FoundState;
use Metrum\Diagnosis\Seen\Raises;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Share;
use Metrum\Findings\Sign;
use Metrum\Installation\Condition;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;

/** Each thing that was found as a piece of evidence: what it says of every fault, in nats. */
final readonly class Pieces
{
    public const CONTEXT = 'context';

    /** What is held of the whole plant, beside what one circuit of it shows. */
    public const PLANT = 'plant';

    private const MOVE = 'move';

    /** Deviations above which a sign that alarms is no sound plant's, and up to which more says more. */
    private const ALARMING = 3.0;

    private const MOST_ALARM = 6.0;

    /** @param  list<FoundState>  $found  what is wrong although nobody may have complained of it */
    public function __construct(
        private Curves $curves,
        private Words $words,
        private Examination $examined,
        private Raises $raises,
        private array $found,
    ) {
    }

    /**
     * @param  array<string, float|string>  $features  by name
     * @param  ?ConfirmedFaults  $confirmed  what is proven already and what that explains; null: nothing is
     * @return list<Evidence>
     */
    public function of(array $features, ?ConfirmedFaults $confirmed): array
    {
        return [
            ...$this->moves(),
            ...$this->found($confirmed),
            ...$this->pieces($confirmed?->without($features) ?? $features, $confirmed),
        ];
    }

    /**
     * @param  array<string, float|string>  $features
     * @return list<Evidence>
     */
    private function pieces(array $features, ?ConfirmedFaults $confirmed): array
    {
        /** @var array<string, Evidence> $pieces */
        $pieces = [];
        $context = array_fill(0, count($this->curves->faults), 0.0);
        $withheld = $this->examined->withheld();
        foreach ($features as $feature => $value) {
            if ($withheld->holds(Feature::named($feature)) || $this->isFound(Setting::plain($feature))) {
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
            $sign = SameThing::of($plain, $pieces);
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

    /** @return list<Evidence> what is wrong although nobody may have complained of it */
    private function found(?ConfirmedFaults $confirmed): array
    {
        return array_map(function (FoundState $one) use ($confirmed): Evidence {
            $left = $confirmed?->leftOf(Feature::of($one->what)->name(), 'yes') ?? 1.0;
            $weights = array_map(static fn (float $nats): float => $left * $nats, $this->words->ofFound($one));

            return new Evidence('found '.$one->what->value, $weights, found: $one);
        }, $this->found);
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
        $of = Feature::named($feature)->of;

        return match (true) {
            $of instanceof Question => $this->answer($of, Word::from((string) $value)),
            $of instanceof Complaint => $this->words->ofComplaint($of),
            $of instanceof Sign => $this->raises->of($of, $this->curves->weightsOf($feature, $value)),
            default => $this->curves->weightsOf($feature, $value),
        };
    }

    /** @return ?array<int, float> nats by place */
    private function answer(Question $asked, Word $word): ?array
    {
        return $this->raises->of($asked, $this->words->weights($asked, $word));
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
            $key = $moved->control->value.' '.$moved->part;
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
        $of = Feature::named($feature)->of;
        $findings = $this->examined->findings;

        return match (true) {
            $of === null, $of instanceof Condition => null,
            $of instanceof Sign => $this->signal($feature, $this->examined->signals[$of->value], $weights),
            $of instanceof Reading => new Evidence($feature, $weights, reading: $this->read($of)),
            $of instanceof Share => new Evidence($feature, $weights, share: [$of, (float) $value]),
            $of instanceof DerivedFigure => new Evidence(
                $feature,
                $weights,
                figure: $this->examined->figures->figure($of),
            ),
            $of instanceof Complaint => new Evidence($feature, $weights, complaint: $of),
            $of instanceof Observation, $of instanceof Test => new Evidence(
                $feature,
                $weights,
                asked: $of,
                word: $findings->observations[$of->value] ??
                    ($findings->tests[$of->value] ?? Word::from((string) $value)),
            ),
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

    /** @return ?array{Reading, float, \Metrum\Twin\Expected} */
    private function read(Reading $reading): ?array
    {
        $value = $this->examined->findings->reading($reading);
        $expected = $this->examined->expectation->reading($reading);

        return $value === null || $expected === null ? null : [$reading, $value, $expected];
    }
}
