<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Seen;

use Metrum\Diagnosis\Conditions;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Signal;
use Metrum\Findings\Findings;
use Metrum\Findings\Mark;
use Metrum\Findings\Sign;
use Metrum\Findings\StandingFans;
use Metrum\Installation\Condition;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Look;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;

/** Something that is a fault and no mere sign of one: the fault is there, whatever else is. */
final readonly class SeenFault
{
    /** Deviations from which a counted figure is a fault of its own. */
    private const FAR_OFF = 2.2;

    private const COUNTED = 0.92;

    /** How much it takes away that such an answer is met anyhow, and what is left at least. */
    private const ANYHOW = 3.5;

    private const LEAST = 0.4;

    /** Figures on the other side than a fault moves them to from which it was seen wrong. */
    private const CONTRADICT = 2;

    /**
     * @param  ?Word  $word  the answer to a question; null of a sign
     * @param  int  $side  of a sign: 1 high, -1 low; 0 of an answer
     * @param  non-empty-list<Fault>  $faults  any of which it may be: fans that stand, or that a delay holds
     * @param  float  $anyhow  how often such an answer is met where that fault is not, 0 … 1; a test proves
     */
    private function __construct(
        public Question|Sign $asked,
        public ?Word $word,
        private int $side,
        public array $faults,
        private float $anyhow,
    ) {
    }

    /**
     * @param  array<string, Signal>  $signals  by Sign
     * @return list<self> in the order in which things are looked at
     */
    public static function in(
        Findings $findings,
        array $signals,
        Conditions $conditions,
        HouseRules $rules,
    ): array {
        $seen = [];
        foreach ([...$findings->observations, ...$findings->tests] as $key => $word) {
            $asked = Observation::tryFrom($key) ?? Test::from($key);
            if (! self::isAsItShould($asked, $word, $findings, $conditions, $rules)) {
                $seen[] = self::of($asked, $word, 0, $signals, $conditions);
            }
        }
        foreach ($signals as $signal) {
            if (abs($signal->deviations()) > self::FAR_OFF) {
                $seen[] = self::of($signal->sign, null, $signal->deviations() <=> 0.0, [], $conditions);
            }
        }

        return array_values(array_filter($seen));
    }

    /**
     * How likely it is what is wrong where nothing else was looked at, 0 … 1: as surely as such an answer is had, and
     * the less, the oftener it is met at plants where something else is wrong or nothing.
     */
    public function sureness(): float
    {
        if ($this->asked instanceof Sign) {
            return self::COUNTED;
        }
        $had = match ($this->asked->row()->look) {
            Look::Plain => 0.92,
            Look::JudgedVisit => 0.75,
        };

        return $had * max(self::LEAST, 1 - self::ANYHOW * $this->anyhow);
    }

    /** In words: what was looked at, and what was seen. */
    public function label(): string
    {
        if ($this->asked instanceof Sign) {
            $row = $this->asked->row();

            return $row->label.': '.($this->side > 0 ? $row->high : $row->low);
        }

        return $this->asked->label().': '.mb_strtolower((string) $this->word?->label());
    }

    /** @param  array<string, Signal>  $signals  that may contradict it */
    private static function of(
        Question|Sign $asked,
        ?Word $word,
        int $side,
        array $signals,
        Conditions $conditions,
    ): ?self {
        $faults = [];
        foreach (Fault::cases() as $fault) {
            $entry = FaultCatalogue::entry($fault);
            foreach ($conditions->fits($entry->fit) ? $entry->seenBy : [] as $by) {
                $holds = $by->under === null || $conditions->holds($by->under) === true;
                $says = in_array($word, $by->words, true) || in_array($side, $by->sides, true);
                if ($by->asked === $asked && $holds && $says && ! self::isContradicted($fault, $signals)) {
                    $faults[] = $fault;
                }
            }
        }

        return $faults === []
            ? null
            : new self($asked, $word, $side, $faults, self::anyhow($asked, $word, $conditions));
    }

    private static function anyhow(Question|Sign $asked, ?Word $word, Conditions $conditions): float
    {
        if (! $asked instanceof Observation || $word === null) {
            return 0.0;
        }
        $row = $asked->row();

        return $row->usualUnder($row->under($conditions->holds(...)))[$word->value] ?? 0.0;
    }

    /** @param  array<string, Signal>  $signals */
    private static function isContradicted(Fault $fault, array $signals): bool
    {
        $shifts = FaultCatalogue::entry($fault)->signs;
        $against = 0;
        foreach ($signals as $name => $signal) {
            $isOdd = abs($signal->deviations()) > Mark::FINE_WITHIN;
            $away = ($shifts[$name]->mean ?? 0.0) * $signal->deviations() < 0.0;
            $against += $isOdd && $away ? 1 : 0;
        }

        return $against >= self::CONTRADICT;
    }

    /** Fans stand in a defrost and a while after it, or where their control holds the head; gas is hot in a defrost. */
    private static function isAsItShould(
        Question $asked,
        Word $word,
        Findings $findings,
        Conditions $conditions,
        HouseRules $rules,
    ): bool {
        $state = $findings->stateOf($asked);

        return match ($asked) {
            Observation::EvaporatorFans => $word === Word::AllStopped &&
                $conditions->holds(Condition::FansRest) === true,
            Observation::CondenserFans => in_array($word, Word::FANS_STAND, true) &&
                ($state?->runs() === false || ! StandingFans::in($findings, $rules)->ofCondenser),
            Observation::SuctionLineAfterHotGasValve => $word === Word::Hot && $state === State::InDefrost,
            default => false,
        };
    }
}
