<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\StepTaken;

/** What a log has told of one part of a rack up to a moment; a move leaves of it what it cannot change. */
final class PartTelling
{
    /** As it is called where it is put back. */
    private const VALVE = 'valve_shut';

    /** @var array<string, float> SI by key */
    private array $readings = [];

    /** @var array<string, float> of those taken before the last move, by key */
    private array $before = [];

    /** @var array<string, Word> */
    private array $observations = [];

    /** @var array<string, Word> */
    private array $tests = [];

    /** @var array<string, Complaint> */
    private array $complaints = [];

    /** @var array<string, Fault> */
    private array $confirmed = [];

    /** @var array<string, Fault> */
    private array $ruledOut = [];

    private ?State $state = null;

    public function hear(Fact $fact): void
    {
        $content = $fact->content;
        $key = $content->key;
        $isSaid = ! $content->isCleared();
        match ($fact->kind) {
            FactKind::Reading => $this->read($key, $content->value),
            FactKind::Observation => $this->put($this->observations, $key, Word::tryFrom((string) $content->word)),
            FactKind::Test => $this->put($this->tests, $key, Word::tryFrom((string) $content->word)),
            FactKind::State => $this->state = State::tryFrom((string) $content->word),
            FactKind::Complaint => $this->put($this->complaints, $key, $isSaid ? Complaint::tryFrom($key) : null),
            FactKind::Confirmed => $this->put($this->confirmed, $key, $isSaid ? Fault::tryFrom($key) : null),
            FactKind::RuledOut => $this->put($this->ruledOut, $key, $isSaid ? Fault::tryFrom($key) : null),
            FactKind::Card => $this->cameTo($content),
            FactKind::Restored => $this->open($key),
            FactKind::Move,
            FactKind::Note,
            FactKind::Undo,
            FactKind::Clock,
            FactKind::Touched,
            FactKind::Goods,
            FactKind::Site,
            FactKind::Circuit => null,
        };
    }

    /** A circuit whose valve we opened again is not closed any more. */
    private function open(string $restored): void
    {
        if ($restored === self::VALVE) {
            unset($this->observations[Observation::CircuitShut->value]);
        }
    }

    /** What a card came to, answers questions and keeps readings. */
    private function cameTo(Content $content): void
    {
        foreach (StepTaken::outcome($content)->tells ?? [] as [$question, $word]) {
            if ($question instanceof Test) {
                $this->put($this->tests, $question->value, $word);
            } else {
                $this->put($this->observations, (string) $question->value, $word);
            }
        }
        foreach (StepTaken::keeps($content) as $key => $si) {
            $this->read($key, $si);
        }
    }

    private function read(string $key, ?float $si): void
    {
        // A suction pressure at the compressors is that of the header.
        $this->put(
            $this->readings,
            $key === Reading::SuctionPressure->value ? Reading::SuctionHeader->value : $key,
            $si,
        );
    }

    /**
     * @template T
     *
     * @param  array<string, T>  $kept
     * @param  ?T  $said  null: it was taken back
     */
    private function put(array &$kept, string $key, mixed $said): void
    {
        unset($kept[$key]);
        if ($said !== null) {
            $kept[$key] = $said;
        }
    }

    /** It was moved itself, or what all share was. */
    public function move(Control $control): void
    {
        $this->leave(Telling::left($this->readings, $control));
        $this->observations = Telling::left($this->observations, $control);
        $this->tests = array_diff_key($this->tests, array_flip($control->row()->changes));
        $this->complaints = [];
        $cured = $control->row()->cures;
        if ($cured !== null && isset($this->confirmed[$cured->value])) {
            unset($this->confirmed[$cured->value]);
            $this->ruledOut[$cured->value] = $cured;
        }
    }

    /**
     * Something was moved elsewhere that changes these of its readings.
     *
     * @param  list<Reading>  $readings
     */
    public function moveElsewhere(array $readings): void
    {
        $changed = array_map(static fn (Reading $one): string => $one->value, $readings);
        $this->leave(array_diff_key($this->readings, array_flip($changed)));
    }

    /** @param  array<string, float>  $left */
    private function leave(array $left): void
    {
        $this->before = array_diff_key($this->readings, $left) + $this->before;
        $this->readings = $left;
    }

    public function findings(): PartFindings
    {
        return new PartFindings(
            $this->readings,
            $this->observations,
            $this->tests,
            $this->state,
            array_values($this->complaints),
            array_values($this->confirmed),
            array_values($this->ruledOut),
            array_diff_key($this->before, $this->readings),
        );
    }
}
