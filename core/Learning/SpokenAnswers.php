<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\Conditions;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Likelihoods;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Installation\Condition;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Twin\Dice;
use Metrum\Twin\PlantState;

/** What people say of a plant: by its state where that shows, by the fault's file where it does not, with slips. */
final readonly class SpokenAnswers
{
    /** Share of answers that follow the state where the state tells; the others follow the file. */
    private const BY_STATE = 0.65;

    /** Chance at any plant from which an answer is too common to be a fault by itself. */
    private const COMMON = 0.05;

    /** Chance from which a word belongs to a fault. */
    private const OFTEN = 0.35;

    /** Share of visits that nobody called for, whatever is wrong. */
    private const ROUTINE = 0.35;

    /** Share of visits at which complaints are asked for. */
    private const HEARD = 0.8;

    /** Share of complaints that reach the one who visits. */
    private const TOLD = 0.75;

    /** Chance of a complaint where nothing or something else is wrong, of how often it is heard at all. */
    private const BESIDE = 0.6;

    private Likelihoods $weights;

    public function __construct(private Dice $dice, private Conditions $conditions)
    {
        $this->weights = new Likelihoods($conditions);
    }

    /**
     * What was read, with what is said besides: answers, and complaints at most visits.
     *
     * @param  list<array{Fault, ?Cause, float}>  $ills
     */
    public function findings(EntryHabits $habits, Findings $read, PlantState $state, array $ills): Findings
    {
        [$words, $tests] = $this->all($habits, $read->circuit, $state, $ills);

        return new Findings(
            $read->circuit,
            $read->state,
            $this->dice->chance(self::HEARD) ? $this->complaints($ills) : [],
            $read->readings,
            $words,
            $tests,
        );
    }

    /**
     * What is said of all that somebody asks.
     *
     * @param  list<array{Fault, ?Cause, float}>  $ills
     * @return array{array<string, Word>, array<string, Word>} observations and tests, by key
     */
    public function all(EntryHabits $habits, Circuit $known, PlantState $state, array $ills): array
    {
        $words = $tests = [];
        foreach (self::questions($known) as $asked) {
            if (! $habits->asks($asked)) {
                continue;
            }
            $word = $this->answer($asked, $state, $ills);
            if ($asked instanceof Observation) {
                $words[$asked->value] = $word;
            } else {
                $tests[(string) $asked->value] = $word;
            }
        }

        return [$words, $tests];
    }

    /** @param  list<array{Fault, ?Cause, float}>  $ills */
    public function answer(Question $asked, PlantState $state, array $ills): Word
    {
        if ($asked === Observation::Compressor) {
            return $this->compressor($state, $ills);
        }
        if ($this->dice->chance($asked->row()->look->slip())) {
            return $this->dice->one($asked->words());
        }
        $shown = $state->chances[(string) $asked->value] ?? null;
        $seen = $asked instanceof Observation ? $state->observed($asked) : null;
        if (! $state->runs() && $seen !== null) {
            return $seen;
        }
        if ($shown !== null && ! self::knowsMore($asked, $shown, $ills) && $this->dice->chance(self::BY_STATE)) {
            return Word::from($this->dice->weighed($shown));
        }

        return $this->byFile($asked, $ills);
    }

    /**
     * Whether the fault's file has a word that no state of the refrigerant has: ice through the coil.
     *
     * @param  array<string, float>  $shown
     * @param  list<array{Fault, ?Cause, float}>  $ills
     */
    private static function knowsMore(Question $asked, array $shown, array $ills): bool
    {
        foreach ($ills as [$fault, $cause]) {
            $told = FaultCatalogue::entry($fault)->toldOf((string) $asked->value, $cause) ?? [];
            foreach (array_diff_key($told, $shown) as $chance) {
                if ($chance > self::OFTEN) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * That it runs nobody gets wrong, since pressures move; that it cycles shows only to who waits.
     *
     * @param  list<array{Fault, ?Cause, float}>  $ills
     */
    private function compressor(PlantState $state, array $ills): Word
    {
        if (! $state->runs()) {
            return $state->observed(Observation::Compressor) ?? Word::OffOnLowPressure;
        }
        $said = $this->byFile(Observation::Compressor, $ills);

        return $said === Word::ShortCycling ? $said : Word::Running;
    }

    /** @param  list<array{Fault, ?Cause, float}>  $ills */
    private function byFile(Question $asked, array $ills): Word
    {
        // Of two faults the one that has more to say to this question says it.
        $chosen = $ills === [] ? [Fault::NoFault, null, 0.0] : $this->dice->one($ills);
        foreach ($ills as $ill) {
            $tells = FaultCatalogue::entry($ill[0])->toldOf((string) $asked->value, $ill[1]);
            $chosen = $tells !== null ? $ill : $chosen;
        }
        $chances = [];
        foreach ($asked->words() as $word) {
            $chances[$word->value] = self::isElsewhere($asked, $word, $ills)
                ? 0.0
                : $this->weights->rightChance($chosen[0], $asked, $word, $chosen[2], $chosen[1]);
        }

        return Word::from($this->dice->weighed($chances));
    }

    /**
     * An answer that is a fault is given where that fault is, or what brings it about; elsewhere only by mistake, or
     * where it is so common that nobody calls it one: a door that leaks a little.
     *
     * @param  list<array{Fault, ?Cause, float}>  $ills
     */
    private static function isElsewhere(Question $asked, Word $word, array $ills): bool
    {
        $isCommon = $asked instanceof Observation && ($asked->row()->usual[$word->value] ?? 0.0) > self::COMMON;
        $faults = [];
        foreach ($isCommon ? [] : Fault::cases() as $fault) {
            foreach (FaultCatalogue::entry($fault)->seenBy as $by) {
                if ($by->asked === $asked && $by->under === null && in_array($word, $by->words, true)) {
                    $faults = [...$faults, $fault, ...FaultCatalogue::causesOf($fault)];
                }
            }
        }

        return $faults !== [] && array_intersect(array_column($faults, 'value'), self::names($ills)) === [];
    }

    /**
     * @param  list<array{Fault, ?Cause, float}>  $ills
     * @return list<string>
     */
    private static function names(array $ills): array
    {
        return array_map(static fn (array $ill): string => $ill[0]->value, $ills);
    }

    /**
     * @param  list<array{Fault, ?Cause, float}>  $ills
     * @return list<Complaint>
     */
    public function complaints(array $ills): array
    {
        if ($this->dice->chance(self::ROUTINE)) {
            return $this->dice->chance(0.8) ? [Complaint::None] : [];
        }
        $unheard = $this->conditions->holds(Condition::IceMachine) === true
            ? Complaint::TooWarm
            : Complaint::LowProduction;
        $heard = [];
        foreach (Complaint::cases() as $complaint) {
            if (in_array($complaint, [Complaint::None, $unheard], true)) {
                continue;
            }
            $chance = self::BESIDE * $this->weights->usualComplaint($complaint);
            foreach ($ills as [$fault, , $severity]) {
                $told = self::TOLD * ($this->weights->complaintTold($fault, $complaint) ?? 0.0);
                $chance = max($chance, $told * min(1.0, 0.35 + $severity));
            }
            if ($this->dice->chance($chance)) {
                $heard[] = $complaint;
            }
        }

        return $heard === [] && $this->dice->chance(0.6) ? [Complaint::None] : $heard;
    }

    /** @return list<Question> all that may be asked at such a plant */
    public static function questions(Circuit $circuit): array
    {
        return array_values(
            array_filter(
                [...Observation::cases(), ...Test::cases()],
                static fn (Question $asked): bool => $asked->taking()->fit->asks($circuit),
            ),
        );
    }
}
