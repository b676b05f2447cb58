<?php

namespace App\View;

use App\Picture\DefrostPicture;
use App\Records\JudgedVisit;
use Metrum\Bench\Answer;
use Metrum\Card\Card;
use Metrum\Card\Cards;
use Metrum\Card\Outcome;
use Metrum\Card\Step;
use Metrum\Card\StepKind;
use Metrum\Card\Stop;
use Metrum\Diagnosis\Cautions;
use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Requirement;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Station;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Quantity\Magnitude;
use Metrum\Quantity\Units;
use Metrum\Twin\DefrostInTime;
use Metrum\Work\Cards\DefrostRun;
use Metrum\Work\Cards\Run;

/** The card that is open: its gates before it is begun, its steps as they are answered, and what it comes to. */
final class CardPage
{
    public readonly Card $card;

    public readonly Run $run;

    private readonly ?Step $next;

    public readonly CardAmounts $amounts;

    /** What it comes to as it stands; null as long as that cannot be told. */
    private readonly ?Outcome $outcome;

    /** @var ?list<Requirement> as soon as they were asked for */
    private ?array $gates = null;

    private function __construct(
        private readonly JudgedVisit $judged,
        private readonly Units $units,
        Card $card,
        public readonly PartId $part,
    ) {
        $this->card = $card;
        $this->run = new Run($card, $part, $judged->assessment, $judged->log, $units);
        $this->amounts = new CardAmounts($units, $this->run->units);
        $this->next = $this->run->next();
        $this->outcome = $this->done() ?? $this->run->outcome();
    }

    /**
     * As an address says it; null where it names no card.
     *
     * @param  array<string, mixed>  $asked
     */
    public static function ofAddress(JudgedVisit $judged, Units $units, array $asked): ?self
    {
        $key = $asked['card'] ?? null;
        $card = is_string($key) ? Cards::find($key) : null;

        return $card === null
            ? null
            : new self($judged, $units, $card, PartAddress::part($asked, $judged->visit));
    }

    public function isBegun(): bool
    {
        return $this->run->progress->isBegun();
    }

    /** Why it was begun although a gate did not hold; empty where all held. */
    public function overruled(): string
    {
        return $this->run->progress->beginning()?->content->text('reason') ?? '';
    }

    /** @return list<Requirement> */
    public function gates(): array
    {
        return $this->gates ??= $this->run->gates();
    }

    public function isHeldBack(): bool
    {
        return (new Gate($this->gates()))->failing() !== [];
    }

    /** @return list<string> where the hand goes */
    public function cautions(): array
    {
        return Cautions::words($this->card->cautions);
    }

    /** @return list<string> of one step */
    public function cautionsOf(Step $step): array
    {
        return Cautions::words($step->cautions);
    }

    /** @return list<CardStep> */
    public function steps(): array
    {
        $steps = $this->run->steps();
        $lastMove = -1;
        foreach ($steps as $place => $step) {
            $lastMove = $step->kind === StepKind::Move && $this->run->isTaken($step) ? $place : $lastMove;
        }
        $shown = [];
        foreach ($steps as $place => $step) {
            $shown[] = $this->step($step, $place < $lastMove);
        }

        return $shown;
    }

    /** @return list<CardStep> what must be done, before it is begun */
    public function ahead(): array
    {
        return array_values(
            array_filter($this->steps(), static fn (CardStep $one): bool => ! $one->step->isOptional),
        );
    }

    private function step(Step $step, bool $isPast): CardStep
    {
        $known = $this->run->known($step);
        $series = $step->kind === StepKind::Time ? $this->run->progress->said($step) : [];
        $si = $known?->si();

        return new CardStep(
            $step,
            $this->card->stepKey($step->key),
            $this->run->isTaken($step),
            $step === $this->next,
            $isPast,
            $si !== null && $step->field !== null && ! $isPast
                ? $this->amounts->typed($si, $step->field)
                : $known?->text($this->run->units) ?? '',
            $step->field?->unit($this->units)->symbol() ?? '',
            $known !== null && is_string($known->value) ? $known->value : '',
            $series,
            $this->figure($step),
            $this->isBegun() && $this->run->isShut($step),
        );
    }

    /** The defrost that is watched beside the twin's; null as long as none has begun. */
    public function defrost(): ?DefrostPicture
    {
        $run = DefrostRun::of($this->judged->log, $this->part);
        $twin = $this->judged->twin();
        if ($run === null || $twin === null) {
            return $run === null ? null : new DefrostPicture($run, null, $this->units);
        }
        $machine = $twin->twin->machine;
        $ambient = $this->judged->findings->reading(Reading::AmbientTemperature) ?? $machine->design->ambient;

        return new DefrostPicture($run, DefrostInTime::of($machine, $ambient), $this->units);
    }

    /** What stops the work now; null where nothing does. */
    public function stop(): ?Stop
    {
        return $this->run->stop();
    }

    /** @return list<string> stops that were passed, with the reason */
    public function passed(): array
    {
        $said = [];
        foreach ($this->run->progress->passed() as $key => $why) {
            $said[] = lcfirst($this->card->stop($key)->outcome->label ?? $key).', because '.$why;
        }

        return $said;
    }

    /** Why it was left before its end; empty where it goes on. */
    public function left(): string
    {
        return $this->run->progress->left()?->content->text('reason') ?? '';
    }

    public function isOpen(): bool
    {
        return $this->run->progress->isOpen();
    }

    /** @return list<string> */
    private function figure(Step $step): array
    {
        if ($step->kind !== StepKind::Figure) {
            return [];
        }
        $answer = $this->run->answer($step);
        if ($answer instanceof Answer) {
            return $answer->steps;
        }

        return $answer === null ? [] : ['◐ '.ucfirst(rtrim($answer, '.')).'.'];
    }

    /** How long a step waits by its house rule, as it is typed. */
    public function wait(Step $step): string
    {
        assert($step->rule !== null);
        $band = $this->judged->rules->band($step->rule);

        return Magnitude::minutes($band->high)->in($this->units);
    }

    /** What it came to and was kept; null as long as it was not. */
    public function done(): ?Outcome
    {
        $fact = $this->run->progress->done();

        return $fact === null ? null : StepTaken::outcome($fact->content);
    }

    /** What it comes to as it stands; null as long as that cannot be told. */
    public function outcome(): ?Outcome
    {
        return $this->outcome;
    }

    public function says(): string
    {
        $fact = $this->run->progress->done();
        $outcome = $this->outcome();

        return match (true) {
            $fact !== null => StepTaken::said($fact->content),
            $outcome !== null => $this->run->says($outcome),
            default => '',
        };
    }

    /** @return ?array{string, string} what comes next: its name and where it is */
    public function leads(): ?array
    {
        $key = (string) $this->outcome()?->leads;
        $card = Cards::find($key);
        $control = Control::tryFrom($key);

        return match (true) {
            $card !== null => [$card->name, CardList::link($this->judged->visit, $card)],
            $control !== null => [
                $control->label(),
                route('visits.show', [$this->judged->visit, Station::PutRight->value, 'card' => $control->value]),
            ],
            default => null,
        };
    }

    /** Where the work goes on when it is shut. */
    public function back(): string
    {
        return route('visits.show', [$this->judged->visit, $this->card->station->value]);
    }

    public function key(string $own): string
    {
        return $this->card->stepKey($own);
    }
}
