<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Findings\Chapter;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;

/** What a plant showed after so much was added since it was found. SI. */
final readonly class ChargeRow
{
    /**
     * @param  int  $number  of the chapter
     * @param  float  $added  kg since the first row, negative: taken out
     * @param  float  $step  kg with which its chapter began
     * @param  ?float  $level  of the receiver, 0 … 1
     */
    public function __construct(
        public int $number,
        public float $added,
        public float $step,
        public Figures $figures,
        public ?Word $glass,
        public ?float $level,
    ) {
    }

    public static function of(Chapter $chapter, PartId $part, float $added, Figures $figures): self
    {
        $found = $chapter->of($part);

        return new self(
            $chapter->number,
            $added,
            $chapter->began?->content->value ?? 0.0,
            $figures,
            $found->observed(Observation::SightGlass),
            $found->reading(Reading::ReceiverLevel),
        );
    }

    public function superheat(): ?float
    {
        return $this->figures->value(DerivedFigure::EvaporatorSuperheat);
    }

    public function subcooling(): ?float
    {
        return $this->figures->value(DerivedFigure::Subcooling);
    }

    /** Whether it says anything of the charge. */
    public function tells(): bool
    {
        return $this->superheat() !== null || $this->subcooling() !== null || $this->level !== null;
    }
}
