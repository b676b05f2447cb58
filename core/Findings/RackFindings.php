<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\Branch;
use Metrum\Installation\Coil;
use Metrum\Installation\CompressorUnit;
use Metrum\Installation\Installation;
use Metrum\Installation\PartId;
use Metrum\Installation\SuctionGroup;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Copies;

/** What is known at one moment of a visit to a plant of several circuits, part by part. */
final readonly class RackFindings
{
    use Copies;

    /**
     * @param  PartFindings  $shared  of the plant itself
     * @param  array<string, PartFindings>  $parts  of its circuits, cases and compressors, by their part
     * @param  array<string, string>  $names  what people call circuits, by their part
     */
    public function __construct(
        public Installation $plant,
        public PartFindings $shared = new PartFindings(),
        public array $parts = [],
        public array $names = [],
        public ?string $id = null,
        public ?string $takenAt = null,
    ) {
    }

    /** Whether nothing at all was found. */
    public function isEmpty(): bool
    {
        return $this->shared->isEmpty() && $this->parts === [];
    }

    /**
     * The same plant with other things found.
     *
     * @param  array<string, PartFindings>  $parts
     */
    public function finding(PartFindings $shared, array $parts): self
    {
        return $this->but(shared: $shared, parts: $parts);
    }

    public function of(PartId $part): PartFindings
    {
        return $this->parts[$part->value] ?? new PartFindings();
    }

    /**
     * What was found at a suction group's header and its compressors; where there is but one, what stands at the plant
     * is its.
     */
    public function ofGroup(SuctionGroup $group): PartFindings
    {
        $own = $this->of($group->part);

        return $this->plant->hasSeveralGroups() ? $own : $own->besides($this->shared);
    }

    /** Pa absolute of a pressure of a group; null where it was not measured. */
    public function absoluteOf(SuctionGroup $group, Reading $reading): ?float
    {
        $gauge = $this->ofGroup($group)->reading($reading);

        return $gauge === null ? null : $this->plant->atmosphere->absolute($gauge);
    }

    /** What was found of a case; where it is a room, that of its circuit. */
    public function ofCoil(Branch $branch, Coil $coil): PartFindings
    {
        $own = $this->of($coil->part);
        $circuit = $this->of($branch->part);
        if (count($branch->coils) === 1) {
            return $own->besides($circuit);
        }
        // Air that was read for the circuit as a whole is that of each case that was not read itself.
        $air = array_intersect_key($circuit->readings, [Reading::BoxTemperature->value => true]);

        return $own->besides(new PartFindings(readings: $air));
    }

    public function nameOf(Branch|Coil|CompressorUnit|SuctionGroup $part): string
    {
        $given = $part instanceof Branch ? $this->names[$part->part->value] ?? '' : $part->name;

        return $given === '' ? $part->part->value : $given;
    }

    /** Whether refrigerant flows through a circuit; a circuit of which nobody said anything cools. */
    public function cools(Branch $branch): bool
    {
        $found = $this->of($branch->part);

        return ! $this->isShut($branch) &&
            ! in_array($found->state, [State::Off, State::InDefrost, State::PumpingDown], true);
    }

    public function isShut(Branch $branch): bool
    {
        return $this->of($branch->part)->saw(Observation::CircuitShut, Word::ByUs, Word::FoundShut);
    }

    public function isInDefrost(Branch $branch): bool
    {
        return $this->of($branch->part)->state === State::InDefrost;
    }

    /** Pa absolute of a pressure of what is shared; null where it was not measured. */
    public function absolute(Reading $reading): ?float
    {
        $gauge = $this->shared->reading($reading);

        return $gauge === null ? null : $this->plant->atmosphere->absolute($gauge);
    }

    /** K; of the air that enters a coil less its set point; null where one of both is not known. */
    public function aboveSet(Branch $branch, Coil $coil): ?float
    {
        $air = $this->ofCoil($branch, $coil)->reading(Reading::BoxTemperature);
        $set = $branch->load->setPoint;

        return $air === null || $set === null ? null : $air - $set;
    }

    /** @return list<float> K of each case over its set point, of those read */
    public function above(Branch $branch): array
    {
        return array_values(
            array_filter(
                array_map(fn (Coil $coil): ?float => $this->aboveSet($branch, $coil), $branch->coils),
                static fn (?float $one): bool => $one !== null,
            ),
        );
    }
}
