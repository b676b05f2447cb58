<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\Circuit;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Taken;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\CircuitChanged;
use Metrum\Log\Kinds\ReadingTaken;
use Metrum\Log\Kinds\StepTaken;

/** What a log has told up to a moment, fact by fact; a move leaves of it what it cannot change. */
final class Telling
{
    /** Outcome of a card by which a leak is found and tight again. */
    private const MENDED = 'mended';

    private Circuit $circuit;

    private ?State $state = null;

    /** @var array<string, array<string, float>> SI by part and key; the circuit itself has none */
    private array $readings = [];

    /** @var array<string, Taken> with what they were taken, where that was not as usual, by key */
    private array $taken = [];

    /** @var array<string, float> of the chapter before, by key */
    private array $before = [];

    /** @var array<string, Word> */
    private array $observations = [];

    /** What had stopped the compressor before it ran again. */
    private ?Word $tripped = null;

    /** @var array<string, Word> */
    private array $tests = [];

    /** @var array<string, Complaint> */
    private array $complaints = [];

    /** @var array<string, Fault> */
    private array $confirmed = [];

    /** @var array<string, Fault> */
    private array $ruledOut = [];

    /** @param  bool  $isOfRack  whether the circuit is one of several, which share their compressors */
    public function __construct(Circuit $circuit, private readonly bool $isOfRack = false)
    {
        $this->circuit = $circuit;
    }

    /** One of several that stands still, draws little or runs hot says nothing of what the circuit does. */
    private function isOfOneCompressor(Fact $fact): bool
    {
        $isRead = $this->isOfRack && $fact->kind === FactKind::Reading;

        return $fact->part->isCompressor() && ($isRead || $fact->kind === FactKind::Observation);
    }

    public function hear(Fact $fact): void
    {
        if ($this->isOfOneCompressor($fact)) {
            return;
        }
        $content = $fact->content;
        $key = $content->key;
        match ($fact->kind) {
            FactKind::Reading => $this->read($key, $fact->part, $content->value, ReadingTaken::with($content)),
            FactKind::Observation => $this->see($key, Word::tryFrom((string) $content->word)),
            FactKind::Test => $this->keep($this->tests, $key, Word::tryFrom((string) $content->word)),
            FactKind::State => $this->stand(State::tryFrom((string) $content->word)),
            FactKind::Complaint => $this->keep(
                $this->complaints,
                $key,
                $content->isCleared() ? null : Complaint::from($key),
            ),
            FactKind::Confirmed => $this->keep(
                $this->confirmed,
                $key,
                $content->isCleared() ? null : Fault::from($key),
            ),
            FactKind::RuledOut => $this->keep(
                $this->ruledOut,
                $key,
                $content->isCleared() ? null : Fault::from($key),
            ),
            FactKind::Card => $this->told($fact),
            FactKind::Circuit => ($this->circuit = CircuitChanged::circuit($content)),
            FactKind::Move => $this->move(Control::from($key)),
            FactKind::Note,
            FactKind::Undo,
            FactKind::Clock,
            FactKind::Touched,
            FactKind::Restored,
            FactKind::Goods,
            FactKind::Site => null,
        };
    }

    /** Once it is said to run, what stopped it before is over: a finding of the visit, not what it does now. */
    private function stand(?State $state): void
    {
        $this->state = $state;
        $seen = $this->observations[Observation::Compressor->value] ?? null;
        if ($state?->runs() === true && $seen?->stop() !== null) {
            unset($this->observations[Observation::Compressor->value]);
        }
    }

    private function see(string $key, ?Word $word): void
    {
        $before = $key === Observation::Compressor->value ? $this->observations[$key] ?? null : null;
        $this->keep($this->observations, $key, $word);
        if ($word === Word::Running && $before?->stop()?->isTrip() === true) {
            $this->tripped = $before;
        }
        $isSeenRunning = $key === Observation::Compressor->value && $word === Word::Running;
        if ($isSeenRunning && $this->state?->runs() === false) {
            $this->state = null;
        }
    }

    /** What a card came to, answers questions and keeps readings. */
    private function told(Fact $fact): void
    {
        $content = $fact->content;
        $outcome = StepTaken::outcome($content);
        if ($outcome?->key === self::MENDED) {
            // What was found is mended, and nothing that is there now; that it was found stays in the log.
            unset($this->tests[Test::NitrogenOrBubbleSearch->value]);
        }
        foreach ($outcome?->key === self::MENDED ? [] : $outcome->tells ?? [] as [$question, $word]) {
            if ($question instanceof Test) {
                $this->keep($this->tests, $question->value, $word);
            } else {
                $this->keep($this->observations, (string) $question->value, $word);
            }
        }
        foreach (StepTaken::keeps($content) as $key => $si) {
            $this->read($key, $fact->part, $si);
        }
    }

    /** @param  ?Taken  $with  null: as its place asks */
    private function read(string $key, PartId $of, ?float $value, ?Taken $with = null): void
    {
        $part = self::kept($of);
        if ($part === '') {
            $this->keep($this->taken, $key, $value === null ? null : $with);
        }
        unset($this->readings[$part][$key]);
        if ($value !== null) {
            $this->readings[$part][$key] = $value;
        }
    }

    /**
     * @template T
     *
     * @param  array<string, T>  $kept
     * @param  ?T  $value  null: it was taken back
     */
    private function keep(array &$kept, string $key, mixed $value): void
    {
        // The last one said stands last.
        unset($kept[$key]);
        if ($value !== null) {
            $kept[$key] = $value;
        }
    }

    /** Only what the move cannot change stays evidence; the rest is what was before (a cleared drain moves no air). */
    private function move(Control $control): void
    {
        $this->before = $this->circuitReadings() + $this->before;
        foreach ($this->readings as $part => $readings) {
            $this->readings[$part] = self::left($readings, $control);
        }
        $this->observations = self::left($this->observations, $control);
        $this->tests = array_diff_key($this->tests, array_flip($control->row()->changes));
        $cured = $control->row()->cures;
        if ($cured !== null && isset($this->confirmed[$cured->value])) {
            unset($this->confirmed[$cured->value]);
            $this->ruledOut[$cured->value] = $cured;
        }
    }

    /**
     * What a move cannot change of what was found before it.
     *
     * @template T
     *
     * @param  array<string, T>  $found
     * @return array<string, T>
     */
    public static function left(array $found, Control $control): array
    {
        $stays = $control->row()->leavesReadings
            ? $found
            : array_intersect_key($found, array_flip(StandingStill::keys()));

        return array_diff_key($stays, array_flip($control->row()->changes));
    }

    /** @return array<string, float> of the circuit; what was read only of a part of it stands for it too */
    private function circuitReadings(): array
    {
        $readings = $this->readings[''] ?? [];
        foreach (array_reverse($this->readings) as $own) {
            $readings += $own;
        }
        $header = $readings[Reading::SuctionHeader->value] ?? null;

        // A rack's compressors draw from its header.
        return $readings + ($header === null ? [] : [Reading::SuctionPressure->value => $header]);
    }

    /** Under which readings of a part are kept: of the circuit, and of what it shares, under nothing. */
    public static function kept(PartId $part): string
    {
        return $part->kind()->isOfCircuit() ? $part->value : '';
    }

    /** What is known now. */
    public function findings(string $id, string $takenAt, Moments $moments): Findings
    {
        return new Findings(
            circuit: $this->circuit,
            state: $this->state,
            complaints: array_values($this->complaints),
            readings: $this->circuitReadings(),
            observations: $this->observations,
            tests: $this->tests,
            confirmed: array_values($this->confirmed),
            ruledOut: array_values($this->ruledOut),
            id: $id,
            takenAt: $takenAt,
            states: $moments->states(),
            repeated: $moments->repeated(),
            moving: $moments->moving(),
            tripped: $this->tripped,
            taken: array_intersect_key($this->taken, $this->circuitReadings()),
        );
    }

    /** @return array<string, array<string, float>> what was read of parts of the circuit, by part */
    public function ofParts(): array
    {
        return array_diff_key($this->readings, ['' => true]);
    }

    /** @return array<string, float> what was read of the circuit itself, by key */
    public function ofCircuit(): array
    {
        return $this->readings[''] ?? [];
    }

    /** @return array<string, float> what was read before the last move, by key, and not since */
    public function stale(): array
    {
        return array_diff_key($this->before, $this->circuitReadings());
    }
}
