<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Installation\Branch;
use Metrum\Knowledge\Fault;

/**
 * Judges a plant of several circuits: what its circuits share and each circuit are weighed apart, then together. A
 * shortage shows in all, a valve in one: where a circuit explains what is seen, the plant is the less suspected, and
 * the other way round.
 */
final readonly class RackJudge
{
    /**
     * How far what is likelier elsewhere takes suspicion away: 1 would be that one thing alone is wrong. A circuit with
     * a fault of its own says little of what all share: a rack has many.
     */
    private const FROM_PLANT = 0.15;

    private const FROM_CIRCUIT = 0.6;

    /** Probability of a circuit's fault below which it says nothing about the plant. */
    private const NOTICED = 0.02;

    private RackScale $scale;

    public function __construct(?RackScale $scale = null)
    {
        $this->scale = $scale ?? new RackScale();
    }

    public function of(RackExamination $examined): RackVerdict
    {
        $plant = $this->scale->plant($examined);
        $weighings = [];
        foreach ($examined->found->plant->branches as $branch) {
            $weighings[$branch->part->value] = $this->scale->circuit($examined, $branch);
        }

        return new RackVerdict(
            $examined,
            $plant,
            $weighings,
            $this->plantRanking($plant, $weighings),
            $this->circuitRankings($examined, $plant, $weighings),
        );
    }

    /**
     * @param  array<string, RackWeighing>  $circuits
     * @return array<string, float> probability by Fault, highest first
     */
    private function plantRanking(RackWeighing $plant, array $circuits): array
    {
        $elsewhere = 0.0;
        foreach ($circuits as $circuit) {
            $sound = max(1e-6, $circuit->chanceOf(Fault::NoFault));
            $odds = (1 - $sound) / $sound;
            // One thing is wrong as a rule: where many circuits show something it is what they share.
            $elsewhere = max($elsewhere, $odds > self::NOTICED ? $odds : 0.0);
        }
        $sound = $plant->chanceOf(Fault::NoFault);
        $whole = 1 + self::FROM_PLANT * $elsewhere * $sound;
        $ranking = [];
        foreach ($plant->curves->faults as $place => $fault) {
            $ranking[$fault->value] = $plant->chances[$place] / $whole;
        }
        $ranking[Fault::NoFault->value] = ($ranking[Fault::NoFault->value] ?? 0.0) + 1 - 1 / $whole;
        arsort($ranking);

        return $ranking;
    }

    /**
     * @param  array<string, RackWeighing>  $circuits
     * @return array<string, array<string, float>> probability by circuit and Fault, highest first
     */
    private function circuitRankings(RackExamination $examined, RackWeighing $plant, array $circuits): array
    {
        $ill = 1 - $plant->chanceOf(Fault::NoFault);
        $rankings = [];
        foreach ($examined->found->plant->branches as $branch) {
            $part = $branch->part->value;
            $own = $circuits[$part];
            $others = 0.0;
            foreach ($circuits as $name => $circuit) {
                $others = $name === $part ? $others : max($others, 1 - $circuit->chanceOf(Fault::NoFault));
            }
            $apart = self::FROM_CIRCUIT * max($ill, $others);
            $ranking = [];
            foreach ($own->curves->faults as $place => $fault) {
                $left = $fault === Fault::NoFault ? 1.0 : 1 - $apart;
                $ranking[$fault->value] = $left * $own->chances[$place];
            }
            $ranking = [...$ranking, ...$this->uncarried($examined, $branch, $own, $ranking)];
            $sum = array_sum($ranking);
            $ranking = array_map(static fn (float $one): float => $one / $sum, $ranking);
            $rankings[$part] = RackSeen::first($ranking, $examined->circuit($branch));
        }

        return $rankings;
    }

    /**
     * What no drawn rack has (clocks, heaters, drains, controls): by its words, beside what its figures would show.
     *
     * @param  array<string, float>  $ranking  by Fault
     * @return array<string, float> on the same scale, by Fault
     */
    private function uncarried(RackExamination $examined, Branch $branch, RackWeighing $own, array $ranking): array
    {
        $faults = RackFaults::uncarried($branch);
        $said = array_fill(0, count($faults), 0.0);
        foreach ((new RackWords($examined))->ofCircuit($branch, $faults) as $piece) {
            foreach ($piece->weights as $place => $nats) {
                $said[$place] += $nats;
            }
        }
        $words = array_fill(0, count($own->curves->faults), 0.0);
        foreach ($own->evidence as $piece) {
            foreach ($piece->sign === null ? $piece->weights : [] as $place => $nats) {
                $words[$place] += $nats;
            }
        }
        $found = $examined->found->of($branch->part);
        $chances = [];
        foreach ($faults as $place => $fault) {
            $entry = FaultCatalogue::entry($fault);
            $shown = $own->chanceOf(Fault::NoFault) * (1 - array_sum($entry->showsAs));
            foreach ($entry->showsAs as $name => $often) {
                $at = array_search(Fault::from($name), $own->curves->faults, true);
                $shown += $at === false ? 0.0 : $often * $own->chances[$at] * exp(-$words[$at]);
            }
            $proven = in_array($fault, $found->confirmed, true) ? RackScale::PROVEN : 0.0;
            $isOpen = ! in_array($fault, $found->ruledOut, true);
            $chances[$fault->value] = $isOpen
                ? max(0.0, $shown) * RackFaults::prior($fault) * exp($said[$place] + $proven)
                : 0.0;
        }

        return $chances;
    }
}
