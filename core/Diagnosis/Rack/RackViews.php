<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Findings\Findings;
use Metrum\Findings\PartFindings;
use Metrum\Findings\RackFindings;
use Metrum\Installation\Branch;
use Metrum\Installation\Coil;
use Metrum\Installation\SuctionGroup;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;

/** What was found at a rack, as of plain plants: what its circuits share, and each circuit with that. */
final readonly class RackViews
{
    /** How much a case that was read stands out, in K of air, for each thing that was found of it. */
    private const READ = 0.3;

    public function __construct(private RackFindings $found)
    {
    }

    /** What all circuits share, as of one plain plant. */
    public function shared(): Findings
    {
        return $this->plain($this->found->shared, $this->found->plant->branches[0]);
    }

    /** The same with what was found at one suction group. */
    public function group(SuctionGroup $group): Findings
    {
        $branches = $this->found->plant->branchesOf($group);

        return $this->plain(
            $this->found->ofGroup($group)->besides($this->found->shared),
            $branches[0] ?? $this->found->plant->branches[0],
        );
    }

    private function plain(PartFindings $found, Branch $branch): Findings
    {
        $readings = $found->readings;
        $header = $found->reading(Reading::SuctionHeader);

        return new Findings(
            $this->found->plant->circuit($branch->part),
            $found->state,
            $found->complaints,
            $readings + ($header === null ? [] : [Reading::SuctionPressure->value => $header]),
            $found->observations,
            $found->tests,
            id: $this->found->id,
            takenAt: $this->found->takenAt,
        );
    }

    /** One circuit with what it shares, by the case of it that stands out. */
    public function circuit(Branch $branch): Findings
    {
        $own = $this->found->of($branch->part);
        $case = $this->found->ofCoil($branch, $this->standingOut($branch));
        $shared = $this->group($this->found->plant->group($branch));
        $words = $this->words($branch);

        return new Findings(
            $this->found->plant->circuit($branch->part),
            $own->state,
            $own->complaints,
            $case->readings + $own->readings + $shared->readings,
            $words['observations'] + $shared->observations,
            $words['tests'] + $shared->tests,
        );
    }

    /** The case that differs most from its set point, of which most is known. */
    public function standingOut(Branch $branch): Coil
    {
        $best = $branch->coils[0];
        $most = -INF;
        foreach ($branch->coils as $coil) {
            $case = $this->found->ofCoil($branch, $coil);
            $known = count($case->readings) + count($case->observations);
            $score = self::READ * $known + abs($this->found->aboveSet($branch, $coil) ?? 0.0);
            if ($score > $most) {
                [$best, $most] = [$coil, $score];
            }
        }

        return $best;
    }

    /**
     * What was said of a circuit and its cases; of several answers to a question the least usual.
     *
     * @return array{observations: array<string, Word>, tests: array<string, Word>}
     */
    public function words(Branch $branch): array
    {
        $parts = [$this->found->of($branch->part)];
        foreach ($branch->coils as $coil) {
            $parts[] = $this->found->of($coil->part);
        }
        $said = ['observations' => [], 'tests' => []];
        foreach ($parts as $part) {
            foreach ($part->observations as $key => $word) {
                $said['observations'][$key] = self::rarer(
                    Observation::from($key),
                    $word,
                    $said['observations'][$key] ?? null,
                );
            }
            foreach ($part->tests as $key => $word) {
                $said['tests'][$key] = self::rarer(Test::from($key), $word, $said['tests'][$key] ?? null);
            }
        }

        return $said;
    }

    private static function rarer(Question $asked, Word $word, ?Word $other): Word
    {
        $usual = $asked->row()->usual;

        return $other !== null && ($usual[$other->value] ?? 0.0) < ($usual[$word->value] ?? 0.0) ? $other : $word;
    }
}
