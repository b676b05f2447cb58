<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Diagnosis\JudgedPlant;
use Metrum\Diagnosis\Snapshot;
use Metrum\Installation\Branch;
use Metrum\Installation\Coil;
use Metrum\Installation\PartId;
use Metrum\Installation\SuctionGroup;
use Metrum\Knowledge\Fault;

/** What is held of a plant of several circuits: of what they share, and of each. */
final readonly class RackVerdict
{
    /** K over the next case from which a case stands out. */
    private const STANDS_OUT = 1.0;

    /** K over its set point from which it is warm beyond what two thermometers make of cold cases. */
    private const WARM = 2.0;

    /**
     * @param  array<string, RackWeighing>  $circuits  by part
     * @param  array<string, float>  $ofPlant  probability by Fault, highest first
     * @param  array<string, array<string, float>>  $ofCircuits  the same by part
     */
    public function __construct(
        public RackExamination $examined,
        public RackWeighing $plant,
        public array $circuits,
        private array $ofPlant,
        private array $ofCircuits,
    ) {
    }

    /** @return array<string, float> probability by Fault, highest first */
    public function plantRanking(): array
    {
        return $this->ofPlant;
    }

    /** @return array<string, float> the same of one circuit */
    public function circuitRanking(PartId $circuit): array
    {
        return $this->ofCircuits[$circuit->value];
    }

    /**
     * What is wrong at a circuit: a fault of its own as likely as it is held there; what all share as far as it has
     * none of its own. Together 1.
     */
    public function of(PartId $circuit): JudgedPlant
    {
        $chances = $this->ofCircuits[$circuit->value];
        $sound = $chances[Fault::NoFault->value] ?? 0.0;
        foreach ($this->ofPlant as $fault => $chance) {
            $chances[$fault] = $sound * $chance + ($fault === Fault::NoFault->value ? 0.0 : $chances[$fault] ?? 0.0);
        }

        return new JudgedPlant($chances, $this->examined->level);
    }

    /** Enough of it to be named in a list: what is likeliest of all that all share, and of each circuit. */
    public function snapshot(): Snapshot
    {
        $found = $this->examined->found;
        $confirmed = $found->shared->confirmed;
        $chances = $this->ofPlant;
        foreach ($this->ofCircuits as $part => $ranking) {
            $confirmed = [...$confirmed, ...($found->parts[$part] ?? null)->confirmed ?? []];
            foreach ($ranking as $fault => $chance) {
                $isSound = $fault === Fault::NoFault->value;
                $chances[$fault] = $isSound ? $chances[$fault] * $chance : max($chances[$fault] ?? 0.0, $chance);
            }
        }
        arsort($chances);
        $first = [];
        foreach (array_slice($chances, 0, Snapshot::RANKED, true) as $fault => $chance) {
            $first[] = [Fault::from($fault), $chance];
        }

        return new Snapshot($found->isEmpty(), true, array_values(array_unique($confirmed, SORT_REGULAR)), $first);
    }

    /**
     * What leads in a ranking.
     *
     * @param  array<string, float>  $ranking  by Fault, highest first
     */
    public static function leading(array $ranking): Fault
    {
        return Fault::from((string) array_key_first($ranking));
    }

    /** Of several suction groups the one that a fault of what is shared is likeliest of; null where it is of all. */
    public function groupOf(Fault $fault): ?SuctionGroup
    {
        $part = $this->plant->groupOf($fault);

        return $part === null ? null : $this->examined->found->plant->suctionGroup($part);
    }

    /** The circuit of a group that needs the lowest header; null where none cools. */
    public function limit(SuctionGroup $group): ?Branch
    {
        $part = array_key_first($this->examined->needsOf($group));
        foreach ($this->examined->found->plant->branches as $branch) {
            if ($branch->part->value === $part) {
                return $branch;
            }
        }

        return null;
    }

    /**
     * The case that keeps a regulator of several cases open: warm over its set point while the others are down; null
     * where none stands out.
     */
    public function holdsOpen(Branch $branch): ?Coil
    {
        if ($branch->regulator?->isFitted !== true || ! $this->examined->found->cools($branch)) {
            return null;
        }
        $above = [];
        foreach ($branch->coils as $place => $coil) {
            $over = $this->examined->found->aboveSet($branch, $coil);
            if ($over !== null) {
                $above[$place] = $over;
            }
        }
        if (count($above) < 2) {
            return null;
        }
        arsort($above);
        $warmest = array_key_first($above);
        [$first, $second] = array_slice($above, 0, 2);

        return $first >= self::WARM && $first - $second >= self::STANDS_OUT ? ($branch->coils[$warmest] ?? null) : null;
    }
}
