<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Findings\Chapters;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Log\Kinds\PlantMoved;

/** Where a control stands, counted on from where it was found. */
final readonly class Positions
{
    public function __construct(private Chapters $chapters)
    {
    }

    /** Sum of its moves, SI, positive = in. */
    public function now(Control $control, PartId $part): float
    {
        $sum = 0.0;
        foreach ($this->chapters->all as $chapter) {
            $move = $chapter->began;
            if ($move?->isMoveOf($control, $part) === true) {
                $sum += $move->content->value ?? 0.0;
            }
        }

        return $sum;
    }

    /** How it was found, in the words of who moved it first; null where nobody said. */
    public function asFound(Control $control, PartId $part): ?string
    {
        foreach ($this->chapters->all as $chapter) {
            $move = $chapter->began;
            if ($move?->isMoveOf($control, $part) === true) {
                $said = $move->content->text(PlantMoved::AS_FOUND);
                if ($said !== '') {
                    return $said;
                }
            }
        }

        return null;
    }
}
