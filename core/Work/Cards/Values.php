<?php

declare(strict_types=1);

namespace Metrum\Work\Cards;

use Metrum\Bench\Answer;
use Metrum\Bench\Inputs;
use Metrum\Bench\Shape;
use Metrum\Card\Card;
use Metrum\Card\Origin;
use Metrum\Card\Ref;
use Metrum\Card\Step;
use Metrum\Card\StepKind;
use Metrum\Findings\Chapter;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Installation\DesignKey;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\Reading;
use Metrum\Language\Heading;
use Metrum\Log\Fact;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unanswerable;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use Metrum\Twin\Ice\IceExpectation;
use Metrum\Work\Assessment;
use Metrum\Work\Leaks\LeakPlace;
use Metrum\Work\Leaks\SearchLog;
use Metrum\Work\NextMove;

/** What a card knows: its steps as answered, its figures as they follow, and what the visit, rules and twin say. */
final class Values
{
    /** @var array<string, Answer|string|null> of figures by step; a text says why there is none */
    private array $answers = [];

    private readonly Findings $findings;

    public function __construct(
        private readonly Card $card,
        private readonly PartId $part,
        private readonly Progress $progress,
        private readonly Assessment $assessment,
        private readonly Units $units,
    ) {
        $this->findings = $assessment->judged()->chapter->of($part);
    }

    public function of(Ref $ref): ?StepValue
    {
        return $this->one($ref) ?? ($ref->otherwise === null ? null : $this->of($ref->otherwise));
    }

    private function one(Ref $ref): ?StepValue
    {
        return match ($ref->origin) {
            Origin::Number => StepValue::amount($ref->number, QuantityKind::Ratio, Unit::One),
            Origin::Step => $this->ofStep($ref),
            Origin::Reading => self::reading(Reading::from($ref->name), $this->findings),
            Origin::Figure => $this->figure($ref->name, $this->findings),
            Origin::Rule => $this->rule($ref),
            Origin::Wanted => $this->wanted($ref),
            Origin::Design => $this->design(DesignKey::from($ref->name)),
            Origin::Expected => $this->expected($ref->name),
            Origin::Search => $this->search($ref->name),
            Origin::School => StepValue::word($this->assessment->rules->schoolOf(HouseRule::from($ref->name)) ?? 'own'),
            Origin::Between => StepValue::time($this->progress->between($ref->name, $ref->part)),
            Origin::Plant => $this->plant($ref->name),
        };
    }

    private function ofStep(Ref $ref): ?StepValue
    {
        $step = $this->card->step($ref->name);
        if ($step === null) {
            return null;
        }
        if ($step->kind === StepKind::Figure) {
            $answer = $this->answer($step);

            return $answer instanceof Answer ? StepValue::ofOutput($answer->output($ref->part)) : null;
        }

        return $step->kind === StepKind::Time ? $this->series($step, $ref->part) : $this->step($step);
    }

    /** What a step was answered; null as long as it was not. */
    public function step(Step $step): ?StepValue
    {
        $fact = $step->isOwn() ? $this->progress->said($step)[0] ?? null : $this->progress->taken($step);
        if ($step->kind === StepKind::Move) {
            $fact = $this->progress->move($step);
        }
        if ($fact === null) {
            return $this->progress->countsAsKnown($step) ? $this->carried($step) : null;
        }
        $kind = $step->field->kind ?? $step->reading?->quantity();

        return $fact->content->value !== null && $kind !== null
            ? StepValue::amount($fact->content->value, $kind)
            : StepValue::word((string) $fact->content->word, $step->answers[$fact->content->word] ?? '');
    }

    /** What was found before the last move and could not change by it. */
    private function carried(Step $step): ?StepValue
    {
        $known = $this->chapterBefore()->of($this->part);
        $word = $step->observation === null ? null : $known->observed($step->observation);
        $si = $step->reading === null ? null : $known->reading($step->reading);

        return match (true) {
            $step->reading !== null && $si !== null => StepValue::amount($si, $step->reading->quantity()),
            $word !== null => StepValue::word($word->value),
            default => null,
        };
    }

    /** The chapter in which the card moved nothing yet. */
    private function chapterBefore(): Chapter
    {
        $first = $this->progress->firstMove();
        $begun = $first === null ? null : $this->assessment->chapters->begunBy($first);

        return $begun === null
            ? $this->assessment->chapters->present()
            : $this->assessment->chapters->all[$begun->number - 2] ?? $begun;
    }

    /** Whether the refrigerant is a mixture, and whether its dew and bubble lie apart. */
    private function plant(string $name): StepValue
    {
        $fluid = $this->findings->circuit->fluid();

        return StepValue::whether(
            $name === 'blend' ? count($fluid->composition) > 1 : $fluid->isZeotropic(),
        );
    }

    /** Times (s since the first), values, the last value or the time of a timed series; null while it has too few. */
    private function series(Step $step, string $part): ?StepValue
    {
        $facts = $this->progress->said($step);
        if (count($facts) < $step->least || $step->field === null) {
            return null;
        }
        $first = $facts[0]->seenAt()->getTimestamp();
        $values = array_map(static fn (Fact $one): float => (float) $one->content->value, $facts);

        return match ($part) {
            'times' => StepValue::series(
                array_map(static fn (Fact $one): float => (float) ($one->seenAt()->getTimestamp() - $first), $facts),
                QuantityKind::Duration,
            ),
            'values' => StepValue::series($values, $step->field->kind),
            'took' => StepValue::amount(
                (float) ($facts[count($facts) - 1]->seenAt()->getTimestamp() - $first),
                QuantityKind::Duration,
            ),
            default => StepValue::amount($values[count($values) - 1], $step->field->kind),
        };
    }

    /** What a figure answers, why it cannot, or null as long as something for it is missing. */
    public function answer(Step $step): Answer|string|null
    {
        if (! array_key_exists($step->key, $this->answers)) {
            $this->answers[$step->key] = $this->worked($step);
        }

        return $this->answers[$step->key];
    }

    private function worked(Step $step): Answer|string|null
    {
        $values = ['atmospheric_kpa' => $this->findings->circuit->atmosphere->pascal];
        foreach ($step->figure?->asks() ?? [] as $input) {
            if ($input->shape === Shape::Refrigerant) {
                $values[$input->key] = $this->findings->circuit->refrigerant;

                continue;
            }
            $ref = $step->with[$input->key] ?? null;
            $known = $ref === null ? null : $this->of($ref);
            if ($known === null) {
                if ($input->optional) {
                    continue;
                }

                return null;
            }
            $given = $ref->origin === Origin::Number ? $input->unit->toSi($ref->number) : $known->value;
            assert(! is_bool($given));
            $values[$input->key] = $given;
        }
        try {
            return $step->figure?->answer(new Inputs($values, $this->units));
        } catch (Unanswerable $wrong) {
            return $wrong->getMessage();
        }
    }

    private static function reading(Reading $reading, Findings $findings): ?StepValue
    {
        $si = $findings->reading($reading);

        return $si === null ? null : StepValue::amount($si, $reading->quantity());
    }

    private function figure(string $name, Findings $findings): ?StepValue
    {
        $figure = DerivedFigure::from($name);
        $si = Figures::of($findings, $this->assessment->rules)->value($figure);

        return $si === null ? null : StepValue::amount($si, $figure->quantity());
    }

    private function rule(Ref $ref): StepValue
    {
        $rule = HouseRule::from($ref->name);

        return StepValue::amount(
            $this->assessment->rules->band($rule)->end($ref->part),
            $rule->row()->field->kind ?? QuantityKind::Ratio,
        );
    }

    private function wanted(Ref $ref): ?StepValue
    {
        $control = Control::from($ref->name);
        $kind = Assessment::figureOf($control)?->quantity();
        $band = (new NextMove($this->assessment))->band($control, $this->assessment->judged()->chapter);

        return $band === null || $kind === null ? null : StepValue::amount($band->end($ref->part), $kind);
    }

    private function design(DesignKey $key): ?StepValue
    {
        $si = $this->findings->circuit->design->value($key);

        return $si === null ? null : StepValue::amount($si, $key->field()->kind);
    }

    /** What the search for leaks comes to: how likely one is still there, and where. */
    private function search(string $name): StepValue
    {
        $search = SearchLog::search($this->assessment);
        $names = static fn (LeakPlace ...$places): string => implode(
            ', ',
            array_map(static fn (LeakPlace $one): string => Heading::within($one->label), $places),
        );
        $next = $search->next();

        return match ($name) {
            'left' => StepValue::amount($search->left(), QuantityKind::Share),
            'next' => StepValue::word('next', $next === null ? 'a place that is not on the list' : $names($next)),
            default => StepValue::word(
                'places',
                $search->found() === [] ? 'a place not named' : $names(...$search->found()),
            ),
        };
    }

    /** A reading or figure of a sound plant in this weather, by the twin. */
    private function expected(string $name): ?StepValue
    {
        $ice = $this->assessment->expectation();
        if ($ice instanceof IceExpectation) {
            return ExpectedCycle::of($ice, $name);
        }
        $twin = $this->assessment->forecasts->expectation($this->findings);
        if ($twin === null) {
            return null;
        }
        $sound = $this->findings->withReadings($twin->twin->at($twin->around)->readings);
        $reading = Reading::tryFrom($name);

        return $reading === null ? $this->figure($name, $sound) : self::reading($reading, $sound);
    }
}
