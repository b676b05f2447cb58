<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Circuit\Circuit;
use Metrum\Circuit\Complaint;
use Metrum\Circuit\Fault;
use Metrum\Circuit\State;
use Metrum\Circuit\Word;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\CircuitChanged;
use Metrum\Log\Log;

/** The chapters of a visit, folded from its log. As long as nothing moves a plant there is one: as found. */
final readonly class Chapters
{
    /** @param  non-empty-list<Chapter>  $all */
    private function __construct(public array $all)
    {
    }

    /**
     * @param  Circuit  $asOpened  the circuit as it was known when the visit was opened
     * @param  string  $id  of the visit
     * @param  string  $takenAt  when it was opened, ISO 8601
     */
    public static function of(Log $log, Circuit $asOpened, string $id, string $takenAt): self
    {
        return new self([new Chapter(1, null, self::findings($log, $asOpened, $id, $takenAt))]);
    }

    /** The one that the plant is in now. */
    public function present(): Chapter
    {
        return $this->all[array_key_last($this->all)];
    }

    private static function findings(Log $log, Circuit $asOpened, string $id, string $takenAt): Findings
    {
        $circuit = $asOpened;
        $state = null;
        $readings = $observations = $tests = $complaints = $confirmed = $ruledOut = [];
        foreach ($log->standing() as $fact) {
            $content = $fact->content;
            match ($fact->kind) {
                FactKind::Reading => ($readings[$content->key] = (float) $content->value),
                FactKind::Observation => ($observations[$content->key] = Word::from((string) $content->word)),
                FactKind::Test => ($tests[$content->key] = Word::from((string) $content->word)),
                FactKind::State => ($state = State::from((string) $content->word)),
                FactKind::Complaint => ($complaints[] = Complaint::from($content->key)),
                FactKind::Confirmed => ($confirmed[] = Fault::from($content->key)),
                FactKind::RuledOut => ($ruledOut[] = Fault::from($content->key)),
                FactKind::Circuit => ($circuit = CircuitChanged::circuit($content)),
                FactKind::Note, FactKind::Undo => null,
            };
        }

        $moments = new Moments($log);

        return new Findings(
            circuit: $circuit,
            state: $state,
            complaints: $complaints,
            readings: $readings,
            observations: $observations,
            tests: $tests,
            confirmed: $confirmed,
            ruledOut: $ruledOut,
            id: $id,
            takenAt: $takenAt,
            states: $moments->states(),
            repeated: $moments->repeated(),
        );
    }
}
