<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Fault;

/**
 * Weighs what the circuits of a plant with several suction groups share. What is learned is of racks of one group: each
 * group is held against it as if it were the rack. A fault of one group's compressors or set point is weighed by what
 * that group and its circuits show; a fault of all by what all show, each group with its share.
 */
final readonly class GroupWeighing
{
    /** Faults of one group's compressors and controls. */
    private const OF_GROUP = [Fault::SuctionSetWrong, Fault::CompressorOut, Fault::CompressorInefficient];

    /** @var array<int, true> places of these faults */
    private array $own;

    private int $sound;

    /** @param  RackCurves  $curves  learned of racks with one group */
    public function __construct(private RackCurves $curves)
    {
        $own = [];
        foreach ($curves->faults as $place => $fault) {
            if (in_array($fault, self::OF_GROUP, true)) {
                $own[$place] = true;
            }
        }
        $this->own = $own;
        $this->sound = (int) array_search(Fault::NoFault, $curves->faults, true);
    }

    public static function isOfGroup(Fault $fault): bool
    {
        return in_array($fault, self::OF_GROUP, true);
    }

    /**
     * @param  list<RackEvidence>  $shared  of what is one for all of them
     * @param  list<RackEvidence>  $circuits  of all circuits together
     * @param  non-empty-array<string, list<RackEvidence>>  $groups  of each group's header, compressors and circuits
     * @param  non-empty-array<string, list<RackEvidence>>  $headers  of these, without their circuits
     * @param  list<Fault>  $closed
     */
    public function of(array $shared, array $circuits, array $groups, array $headers, array $closed): RackWeighing
    {
        [$likeliest, $shares] = $this->likeliest($groups);
        $evidence = [...$shared, ...array_map($this->ofAll(...), $circuits)];
        foreach ($headers as $part => $pieces) {
            foreach ($pieces as $piece) {
                $evidence[] = $this->ofHeader($piece, PartId::of($part), $likeliest, 1 / count($headers));
            }
        }
        foreach ($groups as $part => $pieces) {
            foreach (array_slice($pieces, count($headers[$part])) as $piece) {
                $evidence[] = $this->ofHeader($piece, PartId::of($part), $likeliest, 0.0);
            }
        }

        return new RackWeighing($this->curves, $evidence, $closed, $shares, $likeliest);
    }

    /**
     * The group that each of its faults is likeliest of, and by how much others make the fault likelier still.
     *
     * @param  non-empty-array<string, list<RackEvidence>>  $groups
     * @return array{array<int, PartId>, array<int, float>} by place of the fault; nats
     */
    private function likeliest(array $groups): array
    {
        $likeliest = $shares = [];
        foreach (array_keys($this->own) as $place) {
            $scores = [];
            foreach ($groups as $part => $pieces) {
                $scores[$part] = 0.0;
                foreach ($pieces as $piece) {
                    $scores[$part] += $this->beside($piece, $place);
                }
            }
            arsort($scores);
            $part = array_key_first($scores);
            $top = $scores[$part];
            $likeliest[$place] = PartId::of($part);
            $all = array_sum(array_map(static fn (float $one): float => exp($one - $top), $scores));
            // One of them is ill as often as the only one of another rack.
            $shares[$place] = log($all / count($scores));
        }

        return [$likeliest, $shares];
    }

    /** What a thing says for a fault beside nothing wrong, nats. */
    private function beside(RackEvidence $piece, int $place): float
    {
        return $piece->weights[$place] - $piece->weights[$this->sound];
    }

    /** What all circuits show says nothing of one group. */
    private function ofAll(RackEvidence $piece): RackEvidence
    {
        $weights = [];
        foreach (array_keys($this->curves->faults) as $place) {
            $weights[] = isset($this->own[$place]) ? 0.0 : $this->beside($piece, $place);
        }

        return $piece->weighing($weights);
    }

    /**
     * What one group shows: of its own faults where they are likeliest there, of those of all by its share.
     *
     * @param  array<int, PartId>  $likeliest  by place
     */
    private function ofHeader(RackEvidence $piece, PartId $group, array $likeliest, float $share): RackEvidence
    {
        $weights = [];
        foreach (array_keys($this->curves->faults) as $place) {
            $its = isset($likeliest[$place]) ? (float) $likeliest[$place]->is($group) : $share;
            $weights[] = $its * $this->beside($piece, $place);
        }

        return $piece->weighing($weights, $group);
    }
}
