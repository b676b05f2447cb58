<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Seen;

use Metrum\Circuit\Fault;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Look;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Question;
use Metrum\Circuit\State;
use Metrum\Circuit\Test;
use Metrum\Circuit\Word;
use Metrum\Diagnosis\Conditions;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Findings\Findings;
use Metrum\Findings\StandingFans;

/** An answer that is a fault and no mere sign of one: the fault is there, whatever else is. */
final readonly class Seen
{
    /** States in which the coil's fans stand as they should. */
    private const FANS_REST = [State::InDefrost, State::AfterDefrost];

    /** @param  non-empty-list<Fault>  $faults  any of which it may be: fans that stand, or that a delay holds */
    private function __construct(public Question $asked, public Word $word, public array $faults)
    {
    }

    /** @return list<self> in the order in which things are looked at */
    public static function in(Findings $findings, Conditions $conditions, HouseRules $rules): array
    {
        $seen = [];
        foreach ([...$findings->observations, ...$findings->tests] as $key => $word) {
            $asked = Observation::tryFrom($key) ?? Test::from($key);
            $faults = self::isAsItShould($asked, $word, $findings, $rules)
                ? []
                : self::faults($asked, $word, $conditions);
            if ($faults !== []) {
                $seen[] = new self($asked, $word, $faults);
            }
        }

        return $seen;
    }

    /** How likely it is there where nothing else was looked at, 0 … 1: as surely as such an answer is had. */
    public function sureness(): float
    {
        return match ($this->asked->row()->look) {
            Look::Plain => 0.92,
            Look::Judged => 0.75,
        };
    }

    /** @return list<Fault> */
    private static function faults(Question $asked, Word $word, Conditions $conditions): array
    {
        return array_values(
            array_filter(
                Fault::cases(),
                static fn (Fault $fault): bool => in_array(
                    $word,
                    FaultCatalogue::entry($fault)->seenBy[(string) $asked->value] ?? [],
                    true,
                ) && $conditions->fits(FaultCatalogue::entry($fault)->fit),
            ),
        );
    }

    /** Fans stand in a defrost and a while after it, or where their control holds the head; gas is hot in a defrost. */
    private static function isAsItShould(
        Question $asked,
        Word $word,
        Findings $findings,
        HouseRules $rules,
    ): bool
    {
        $state = $findings->stateOf($asked);

        return match ($asked) {
            Observation::EvaporatorFans => $word === Word::AllStopped && in_array($state, self::FANS_REST, true),
            Observation::CondenserFans => in_array($word, Word::FANS_STAND, true) &&
                ($state?->runs() === false || ! StandingFans::in($findings, $rules)->ofCondenser),
            Observation::SuctionLineAfterHotGasValve => $state === State::InDefrost,
            default => false,
        };
    }
}
