<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Card\Card;
use Metrum\Card\Step;
use Metrum\Card\StepKind;
use Metrum\Installation\Circuit;
use Metrum\Installation\Kind;
use Metrum\Installation\PartId;
use Metrum\Knowledge\HouseRules;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Log\Source;
use Metrum\Log\Window;
use Metrum\Quantity\Field;
use Metrum\Quantity\Units;
use Metrum\Twin\Twins;
use Metrum\Work\Assessment;
use Metrum\Work\Cards\Run;

/** Works a card as a technician would, answer by answer. */
final class CardWalker
{
    /** @var list<Fact> */
    private array $facts = [];

    private int $minute = 0;

    /** s since it was begun, and what an answer takes of them. */
    private int $seconds = 0;

    private int $pace = 60;

    public function __construct(
        private readonly Card $card,
        private readonly ?Circuit $circuit = null,
        private readonly HouseRules $rules = new HouseRules(),
    ) {
        $this->say(FactKind::Card, $card->key.'.begun', word: 'yes');
    }

    /** The same where an answer takes so many seconds, from now on. */
    public function paced(int $seconds): self
    {
        $this->pace = $seconds;

        return $this;
    }

    /** A circuit that a card is for. */
    public static function circuitFor(Card $card): Circuit
    {
        $fits = static fn (Kind $kind): bool => $card->fit->asks(Circuit::plain($kind));
        foreach (Kind::cases() as $kind) {
            if ($fits($kind)) {
                return Circuit::plain($kind);
            }
        }

        return Circuit::fromWords(
            [
                'kind' => 'case_medium',
                'refrigerant' => 'R-448A',
                'metering' => 'txv',
                'receiver' => true,
                'evaporator_pressure_regulator' => true,
            ],
            [],
        );
    }

    public function say(
        FactKind $kind,
        string $key,
        ?float $si = null,
        ?string $word = null,
        ?PartId $part = null,
    ): self {
        $this->minute++;
        $this->seconds += $this->pace;
        $this->facts[] = new Fact(
            sprintf('%026d', $this->minute),
            $kind,
            new Content($key, $si, $word),
            new \DateTimeImmutable("2026-11-26T08:00:00Z +$this->seconds seconds"),
            Source::Hand,
            'somebody',
            'a plant',
            $part ?? PartId::circuit(),
        );

        return $this;
    }

    /** Answers a step by its key: an amount in the unit of files, a word, or that it was done. */
    public function answer(string $key, float|string $answer = 'yes'): self
    {
        $step = $this->card->step($key);
        if ($step === null) {
            throw new \LogicException('no step '.$key);
        }
        if ($step->reading !== null) {
            $si = $step->reading->fileUnit()->toSi((float) $answer);

            return $this->say(FactKind::Reading, $step->reading->value, $si);
        }
        if ($step->observation !== null) {
            return $this->say(FactKind::Observation, $step->observation->value, word: (string) $answer);
        }
        if ($step->control !== null) {
            return $this->say(FactKind::Move, $step->control->value, word: 'done');
        }
        $name = $this->card->key.'.'.$key;
        $field = $step->kind === StepKind::Wait ? null : $step->field;

        return match (true) {
            $step->kind === StepKind::Wait => $this->say(FactKind::Card, $name, 60.0),
            $field instanceof Field => $this->say(FactKind::Card, $name, $field->fileUnit()->toSi((float) $answer)),
            default => $this->say(FactKind::Card, $name, word: (string) $answer),
        };
    }

    /** @param  array<string, float|string|list<float>>  $answers  by step; several for a timed series */
    public function all(array $answers): self
    {
        foreach ($answers as $key => $answer) {
            foreach (is_array($answer) ? $answer : [$answer] as $one) {
                $this->answer((string) $key, $one);
            }
        }

        return $this;
    }

    public function log(): Log
    {
        return new Log($this->facts);
    }

    public function work(): Assessment
    {
        $window = new Window(
            $this->log(),
            $this->circuit ?? self::circuitFor($this->card),
            PartId::circuit(),
            'a visit',
            '2026-11-26T08:00:00Z',
        );

        return new Assessment($window, $this->rules, new Twins());
    }

    public function run(): Run
    {
        return new Run($this->card, PartId::circuit(), $this->work(), $this->log(), new Units());
    }

    /** Ends it: what it came to is a fact. */
    public function end(): self
    {
        $this->minute++;
        $this->seconds += $this->pace;
        $this->facts[] = new Fact(
            sprintf('%026d', $this->minute),
            FactKind::Card,
            $this->run()->done(),
            new \DateTimeImmutable("2026-11-26T08:00:00Z +$this->seconds seconds"),
            Source::Hand,
            'somebody',
            'a plant',
            PartId::circuit(),
        );

        return $this;
    }

    /** Key of the step that is asked for next; empty at the end. */
    public function nextKey(): string
    {
        return $this->next()->key ?? '';
    }

    /** The step that is asked for next; null at the end. */
    public function next(): ?Step
    {
        return $this->run()->next();
    }
}
