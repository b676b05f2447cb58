<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Diagnosis\Conditions;
use Metrum\Diagnosis\Likelihoods;
use Metrum\Findings\Findings;
use Metrum\Installation\Branch;
use Metrum\Installation\SuctionGroup;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Celsius;

/** What was said of a plant of several circuits, as likelihoods that stand in the faults' files. */
final readonly class RackWords
{
    /** Share at which an answer counts beside the numbers that tell the same. */
    private const SHARE = 0.85;

    private const COMPLAINTS = 0.3;

    /** Answers that are no evidence of a fault. */
    private const SILENT = [Observation::HeatReclaim, Observation::NightCover, Observation::CircuitShut];

    /** Share of the condenser's fans that its control lets turn, below which standing fans say nothing. */
    private const RESTING = 0.9;

    /** °C below which the air makes a head control hold. */
    private const COLD = Celsius::ZERO + 10.0;

    public function __construct(private RackExamination $examined)
    {
    }

    /**
     * @param  list<Fault>  $faults
     * @return list<RackEvidence> of what all circuits share
     */
    public function ofPlant(array $faults): array
    {
        $shared = $this->examined->shared();
        $words = [...$shared->observations, ...$shared->tests];
        if ((new PlantSigns($this->examined))->fansExpected() < self::RESTING) {
            unset($words[Observation::CondenserFans->value]);
        }

        return $this->evidence($words, $shared, $faults);
    }

    /**
     * @param  list<Fault>  $faults
     * @return list<RackEvidence> of one group's compressors
     */
    public function ofGroup(SuctionGroup $group, array $faults): array
    {
        $compressor = $this->compressor($group);
        $words = $compressor === null ? [] : [Observation::Compressor->value => $compressor];

        return $this->evidence($words, $this->examined->group($group)->withoutComplaints(), $faults);
    }

    /**
     * @param  list<Fault>  $faults
     * @return list<RackEvidence> of one circuit and its cases
     */
    public function ofCircuit(Branch $branch, array $faults): array
    {
        $said = $this->examined->words($branch);
        $own = $this->examined->found->of($branch->part);
        $findings = new Findings(
            $this->examined->found->plant->circuit($branch->part),
            $own->state,
            $own->complaints,
            observations: $said['observations'],
            tests: $said['tests'],
        );

        return $this->evidence([...$said['observations'], ...$said['tests']], $findings, $faults);
    }

    /** What is said of the compressors: that one tripped, else that they run, where all were looked at. */
    private function compressor(SuctionGroup $group): ?Word
    {
        $units = $group->compressors;
        $said = [];
        foreach ($units as $unit) {
            $word = $this->examined->found->of($unit->part)->observed(Observation::Compressor);
            if ($word?->stop()?->isTrip() === true) {
                return $word;
            }
            $said = $word === null ? $said : [...$said, $word];
        }
        $isWhole = $units !== [] && count($said) === count($units);

        return $isWhole && in_array(Word::Running, $said, true) ? Word::Running : null;
    }

    /**
     * @param  array<string, Word>  $words  by key
     * @param  list<Fault>  $faults
     * @return list<RackEvidence>
     */
    private function evidence(array $words, Findings $findings, array $faults): array
    {
        $ambient = $this->examined->found->shared->reading(Reading::AmbientTemperature);
        $conditions = new Conditions($findings, $ambient === null ? null : $ambient < self::COLD);
        $likelihoods = new Likelihoods($conditions);
        $evidence = [];
        foreach ($words as $key => $word) {
            $asked = Observation::tryFrom($key) ?? Test::from($key);
            if (! in_array($asked, self::SILENT, true) && in_array($word, $asked->words(), true)) {
                $evidence[] = new RackEvidence(
                    self::weights($likelihoods, $asked, $word, $faults),
                    asked: $asked,
                    word: $word,
                );
            }
        }
        foreach ($findings->complaints as $complaint) {
            if ($complaint !== Complaint::None) {
                $weights = array_map(
                    static fn (Fault $fault): float => self::COMPLAINTS *
                        log($likelihoods->complaintRatio($fault, $complaint)),
                    $faults,
                );
                $evidence[] = new RackEvidence($weights, complaint: $complaint);
            }
        }

        return $evidence;
    }

    /**
     * @param  list<Fault>  $faults
     * @return list<float> nats by place, beside nothing wrong
     */
    private static function weights(Likelihoods $likelihoods, Question $asked, Word $word, array $faults): array
    {
        $plain = $likelihoods->chance(Fault::NoFault, $asked, $word);

        return array_map(
            static fn (Fault $fault): float => self::SHARE *
                log(max(1e-4, $likelihoods->chance($fault, $asked, $word)) / max(1e-4, $plain)),
            $faults,
        );
    }
}
