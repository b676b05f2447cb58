<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Quantity\Copies;

/** One circuit of a plant: from the liquid line by its feed and coils to its group's suction. SI; null: unknown. */
final readonly class Branch
{
    use Copies;

    /**
     * @param  PartId  $group  from which it draws
     * @param  ?Regulator  $regulator  null: nobody said whether there is one
     * @param  non-empty-list<Coil>  $coils
     * @param  ?float  $superheat  at the bulb, by design, K
     * @param  ?float  $subcooling  by design, K
     * @param  ?float  $capacity  W of cooling, of all its coils
     * @param  ?float  $coilVolume  m³, of all its coils
     * @param  ?float  $suctionDrop  by design, from its coils to the header, K of dew
     */
    public function __construct(
        public PartId $part,
        public PartId $group,
        public array $coils,
        public Load $load = new Load(),
        public ?Metering $feed = null,
        public ?Regulator $regulator = null,
        public ?bool $suctionAccumulator = null,
        public ?bool $exchanger = null,
        public ?float $superheat = null,
        public ?float $subcooling = null,
        public ?float $capacity = null,
        public ?float $coilVolume = null,
        public ?float $suctionDrop = null,
    ) {
    }

    /** The same on another suction group. */
    public function drawingOn(PartId $group): self
    {
        return $this->but(group: $group);
    }

    /** As a circuit says it; what a circuit does not say stays as it is in an earlier one. */
    public static function of(Circuit $circuit, PartId $part, PartId $group, ?self $before = null): self
    {
        $design = $circuit->design;
        $coil = $before->coils[0] ?? new Coil($part->below(PartKind::Coil, '1'));
        $first = $coil->differing($design->evaporatorTd);

        return new self(
            $part,
            $group,
            [$first, ...array_slice($before->coils ?? [], 1)],
            new Load(
                $circuit->kind,
                $circuit->boxControl,
                $circuit->defrost,
                $design->boxSetPoint,
                $circuit->ice,
                IceRating::of($design),
            ),
            $circuit->metering,
            $circuit->regulator === null
                ? null
                : new Regulator($part->below(PartKind::Regulator), $circuit->regulator),
            $circuit->suctionAccumulator,
            $circuit->exchanger,
            $design->superheat,
            $design->subcooling,
            $before?->capacity,
            $before?->coilVolume,
            $before?->suctionDrop,
        );
    }
}
