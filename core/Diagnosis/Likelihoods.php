<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Data\Knowledge;
use Metrum\Findings\Sign;
use Metrum\Installation\Condition;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;

/** Weights from the catalogue's files: arrows of the trade with sizes set by hand from how such plants behave. */
final class Likelihoods
{
    /** A sign with a floor is there at this part of full severity; a word is told at this one. */
    private const FLOORED_EARLY = 1.6;

    private const WORDS_EARLY = 1.25;

    /** A test finds what a look does not yet. */
    private const TESTS_EARLY = 2.0;

    /** Where it may have got to, each as likely. */
    private const SEVERITIES = [0.25, 0.55, 0.95];

    /** Chance of a complaint that no fault is known for, of its chance over all visits; added to every chance. */
    private const UNTOLD_COMPLAINT = 0.25;

    private const COMPLAINT_SLIP = 0.03;

    /** @var array<string, array<string, float>> */
    private array $usual = [];

    /** @var array<string, array<string, array<string, array{float, float}>>> */
    private array $told = [];

    /** @var array<string, float> */
    private array $complaints;

    private bool $capillary;

    /** @param  ?Condition  $under  the only condition that is taken to hold of words; false: those that do */
    public function __construct(
        private readonly Conditions $conditions,
        private readonly Condition|null|false $under = false,
    ) {
        $this->capillary = $conditions->holds(Condition::Capillary) === true;
        $this->complaints = $this->usualComplaints();
    }

    /** @return array<string, float> chance of hearing each at such a plant */
    private function usualComplaints(): array
    {
        $file = Knowledge::file('complaints');
        $usual = $file->numbers('usual');
        foreach ($file->row('when')->keys() as $name) {
            $condition = Condition::tryFrom($name) ?? throw $file->broken("when.$name", 'no such condition');
            $under = $file->row('when')->numbers($name);
            if ($this->conditions->holds($condition) === true) {
                $usual = $under + $usual;
            } elseif ($condition === Condition::IceMachine) {
                // Too little ice is heard nowhere else.
                $usual[Complaint::LowProduction->value] = $under[Complaint::LowProduction->value];
            }
        }

        return $usual;
    }

    /**
     * How far the fault moves a sign from its healthy value, SI.
     *
     * @param  float  $severity  0 … 1
     * @return array{float, float} mean shift and its spread over plants
     */
    public function shift(Fault $fault, Sign $sign, float $severity): array
    {
        $entry = FaultCatalogue::entry($fault);
        $shift =
            ($this->capillary ? $entry->capillarySigns[$sign->value] ?? null : null) ??
            ($entry->signs[$sign->value] ?? null);
        if ($shift === null) {
            return [0.0, 0.0];
        }
        $early = $shift->mean < 0.0 && $sign->row()->floored;
        $share = $early ? min(1.0, self::FLOORED_EARLY * $severity) : $severity;

        return [$shift->mean * $share, $shift->spread * $share];
    }

    /** Chance of the answer, 0 … 1, wherever the fault has got to, with words that are wrong among them. */
    public function chance(Fault $fault, Question $asked, Word $word): float
    {
        $row = $asked->row();
        $slip = $row->look->slip();
        $right = 0.0;
        foreach (self::SEVERITIES as $severity) {
            $right += $this->rightChance($fault, $asked, $word, $severity) / count(self::SEVERITIES);
        }

        return $slip / count($row->words) + (1 - $slip) * $right;
    }

    /** Chance that the answer is so, 0 … 1, of one who looks and speaks right. */
    public function rightChance(
        Fault $fault,
        Question $asked,
        Word $word,
        float $severity,
        ?Cause $cause = null,
    ): float {
        $told = FaultCatalogue::entry($fault)->toldOf((string) $asked->value, $cause);
        [$plain, $full] = $this->told[(string) $asked->value][$word->value][
            $fault->value.' '.$cause?->value
        ] ??= $this->chancesTold($told, $asked, $word);

        $early = $asked instanceof Test ? self::TESTS_EARLY : self::WORDS_EARLY;

        return $plain + min(1.0, $early * $severity) * ($full - $plain);
    }

    /** Chance of the complaint over all visits to a plant where it can be heard. */
    public function usualComplaint(Complaint $complaint): float
    {
        return $this->complaints[$complaint->value];
    }

    /**
     * How often it is heard of a fault at its worst; null where its file says nothing of it. What makes a box too warm
     * makes too little ice.
     */
    public function complaintTold(Fault $fault, Complaint $complaint): ?float
    {
        $told = FaultCatalogue::entry($fault)->complaints;
        $own = $told[$complaint->value] ?? null;
        if ($complaint !== Complaint::LowProduction) {
            return $own;
        }

        return max($own, $told[Complaint::TooWarm->value] ?? null);
    }

    /** Chance of the complaint ÷ its chance over all visits. */
    public function complaintRatio(Fault $fault, Complaint $complaint): float
    {
        $usual = $this->usualComplaint($complaint);
        $told = $this->complaintTold($fault, $complaint) ?? self::UNTOLD_COMPLAINT * $usual;

        return (self::COMPLAINT_SLIP + $told) / (self::COMPLAINT_SLIP + $usual);
    }

    /**
     * @param  ?array<string, float>  $told  by word, with the fault at its worst
     * @return array{float, float} chance without the fault, and with it at its worst
     */
    private function chancesTold(?array $told, Question $asked, Word $word): array
    {
        $usual = $this->usual($asked);
        $plain = $usual[$word->value] ?? 0.0;
        if ($told === null) {
            return [$plain, $plain];
        }
        $others = array_sum(array_diff_key($usual, $told));
        $left = max(0.0, 1 - array_sum($told));

        return [$plain, $told[$word->value] ?? ($others > 0 ? ($left * $plain) / $others : 0.0)];
    }

    /** @return array<string, float> chance of each answer over all visits to such a plant */
    private function usual(Question $asked): array
    {
        $row = $asked->row();

        return $this->usual[(string) $asked->value] ??= $row->usualUnder(
            $this->under === false ? $row->under($this->conditions->holds(...)) : $this->under,
        );
    }
}
