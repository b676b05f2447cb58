<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Data\Knowledge;
use Metrum\Diagnosis\Seen\FoundState;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Word;

/**
 * What an answer says of each fault: by how often it is given under each, as the files have it, and by how surely it
 * is had. Nothing of it is fitted but one share a family: what words and figures tell alike counts once.
 */
final class Words
{
    public const COMPLAINTS = 'complaint';

    /** Chance of finding a plant so that has another fault, by what was found: no other fault makes a box too cold. */
    private const FOUND_ANYHOW = ['too_cold' => 0.015];

    private const FOUND_ANYHOW_ELSE = 0.06;

    /** Share of what was given at drawn plants. */
    private const GIVEN = 0.25;

    /** Chance that is never gone below. */
    private const NEVER_NONE = 1e-3;

    /** Chance of finding a sound plant so. */
    private const FOUND_SOUND = 0.01;

    private readonly Likelihoods $likelihoods;

    /** @var array<string, array<string, array<int, float>>> chance by question, word and place */
    private array $chances = [];

    public function __construct(private readonly Curves $curves, private readonly Conditions $conditions)
    {
        $this->likelihoods = new Likelihoods($conditions);
    }

    /** @return array<int, float> nats by place of the fault */
    public function weights(Question $asked, Word $word): array
    {
        $share = $this->curves->shareOf($asked->row()->family);

        return array_map(
            static fn (float $chance): float => $share * log($chance),
            $this->chances($asked)[$word->value],
        );
    }

    /** @return array<int, float> nats by place of the fault */
    public function ofComplaint(Complaint $complaint): array
    {
        $share = $this->curves->shareOf(self::COMPLAINTS);

        return array_map(
            fn (Fault $fault): float => $share * log($this->likelihoods->complaintRatio($fault, $complaint)),
            $this->curves->faults,
        );
    }

    /**
     * What a state that was found says, as a complaint of it would: nobody has to tell what stands before one's eyes.
     *
     * @return array<int, float> nats by place of the fault
     */
    public function ofFound(FoundState $found): array
    {
        $told = $found->trip === null
            ? fn (Fault $fault): float => $this->likelihoods->complaintTold($fault, $found->what) ?? 0.0
            : fn (Fault $fault): float => $this->tripped($fault, $found->trip);

        $anyhow = self::FOUND_ANYHOW[$found->what->value] ?? self::FOUND_ANYHOW_ELSE;

        return array_map(
            static fn (Fault $fault): float => log(
                $fault === Fault::NoFault ? self::FOUND_SOUND : max($anyhow, $told($fault)),
            ),
            $this->curves->faults,
        );
    }

    /** How often such a stop is met of a fault beside how often it is met at all. */
    private function tripped(Fault $fault, Word $trip): float
    {
        $chances = $this->chances(Observation::Compressor)[$trip->value];
        $usual = $chances[$this->curves->placeOf(Fault::NoFault)];

        return $chances[$this->curves->placeOf($fault)] / ($chances[$this->curves->placeOf($fault)] + $usual);
    }

    /**
     * How often each answer is given under each fault.
     *
     * @return array<string, array<int, float>> by word and place
     */
    public function chances(Question $asked): array
    {
        return $this->chances[(string) $asked->value] ??= $this->known($asked);
    }

    /**
     * Mostly as the fault's file has it, the rest as it was given at drawn plants: there a glass tells what the liquid
     * does.
     *
     * @param  float  $told  chance by the files, 0 … 1
     * @param  float  $given  at drawn visits, 0 … 1
     */
    public static function blended(float $told, float $given): float
    {
        return (1 - self::GIVEN) * $told + self::GIVEN * max(self::NEVER_NONE, $given);
    }

    /**
     * They follow from the files, the curves and the one condition under which the question is answered otherwise: of
     * the curves in use they are reckoned once.
     *
     * @return array<string, array<int, float>>
     */
    private function known(Question $asked): array
    {
        $feature = Features::word($asked, $asked->row()->under($this->conditions->holds(...)));
        $make = fn (): array => $this->reckoned($asked, $feature);

        $set = $this->curves->set;

        return $set === null
            ? $make()
            : Knowledge::kept("chances-$set->value-".strtr($feature, ' /', '--'), $make);
    }

    /** @return array<string, array<int, float>> */
    private function reckoned(Question $asked, string $feature): array
    {
        $chances = [];
        $drawn = $this->curves->answersTo($feature);
        foreach ($asked->words() as $word) {
            foreach ($this->curves->faults as $place => $fault) {
                $told = $this->likelihoods->chance($fault, $asked, $word);
                $given = $drawn[$word->value][$place] ?? $told;
                $chances[$word->value][$place] = self::blended($told, $given);
            }
        }

        return $chances;
    }
}
