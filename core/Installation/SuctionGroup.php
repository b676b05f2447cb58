<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Quantity\Copies;

/** Compressors that draw from one suction, by what they run, and whether circuits that nobody listed draw on it too. */
final readonly class SuctionGroup
{
    use Copies;

    /**
     * @param  list<CompressorUnit>  $compressors
     * @param  string  $name  what people call it; empty: by its number
     * @param  ?float  $suction  saturated suction (dew) at its header as planned, K; null: as the plant's plan says
     */
    public function __construct(
        public PartId $part,
        public SuctionHold $hold,
        public bool $servesOthers = false,
        public array $compressors = [],
        public string $name = '',
        public ?float $suction = null,
    ) {
    }

    /** As people call it: "MT", else "group 1". */
    public function label(): string
    {
        return $this->name === '' ? $this->part->value : $this->name;
    }

    /** The same where only listed circuits draw on it, or others too: then nobody calls it alone. */
    public function serving(bool $others): self
    {
        return $this->but(
            hold: $others ? SuctionHold::ByPressure : SuctionHold::ByLoad,
            servesOthers: $others,
        );
    }

    public function heldByPressure(): self
    {
        return $this->but(hold: SuctionHold::ByPressure);
    }

    public function and(CompressorUnit $one): self
    {
        return $this->but(compressors: [...$this->compressors, $one]);
    }

    /** The same with one of its compressors as it is known now. */
    public function knowing(CompressorUnit $unit): self
    {
        return $this->but(
            compressors: array_map(
                static fn (CompressorUnit $one): CompressorUnit => $one->part->is($unit->part) ? $unit : $one,
                $this->compressors,
            ),
        );
    }

    /** A; what all of them are rated for, null where none says it. */
    public function ratedCurrent(): ?float
    {
        $rated = array_filter(
            array_map(static fn (CompressorUnit $one): ?float => $one->ratedCurrent, $this->compressors),
            static fn (?float $one): bool => $one !== null,
        );

        return $rated === [] ? null : array_sum($rated);
    }

    /** The same with a rated current: of its only compressor, else of what they are together. */
    public function ratedFor(?float $current): self
    {
        $only = $this->compressors[0] ?? new CompressorUnit(PartId::shared(PartKind::Compressor, '1'));

        return count($this->compressors) > 1 || $this->ratedCurrent() === $current
            ? $this
            : $this->but(compressors: [$only->ratedFor($current)]);
    }
}
