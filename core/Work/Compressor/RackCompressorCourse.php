<?php

declare(strict_types=1);

namespace Metrum\Work\Compressor;

use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Installation\SuctionGroup;
use Metrum\Knowledge\HouseRules;
use Metrum\Twin\Rack\RackTwin;

/** Where the compressors of a suction group run: as it was read, and by the twin on the coldest and hottest day. */
final readonly class RackCompressorCourse
{
    public function __construct(
        private RackVerdict $verdict,
        private SuctionGroup $group,
        private HouseRules $rules,
    ) {
    }

    /** @return list<OperatingPoint> */
    public function points(): array
    {
        return [...$this->read(), ...$this->foretold()];
    }

    /** @return list<OperatingPoint> */
    private function read(): array
    {
        $figures = Figures::of($this->verdict->examined->group($this->group), $this->rules);
        $suction = $figures->value(DerivedFigure::SaturatedSuction);
        $condensing = $figures->value(DerivedFigure::CondensingDew);

        return $suction === null || $condensing === null
            ? []
            : [new OperatingPoint(PointKind::Now, $suction, $condensing)];
    }

    /** @return list<OperatingPoint> */
    private function foretold(): array
    {
        $found = $this->verdict->examined->found;
        $twin = $this->verdict->examined->twin;
        $fluid = $twin->machine->fluid();
        [$cold, $hot] = CompressorCourse::days($found->plant->circuit($found->plant->branches[0]->part));
        $points = [];
        foreach ([[PointKind::Coldest, $cold], [PointKind::Hottest, $hot]] as [$kind, $ambient]) {
            $state = $twin->at(RackTwin::store($found)->at($ambient));
            $group = $state->groups[$this->group->part->value] ?? null;
            if ($state !== null && $group !== null) {
                $points[] = new OperatingPoint(
                    $kind,
                    $fluid->dewTemperature($group->suction),
                    $fluid->dewTemperature($state->condensing),
                    $ambient,
                );
            }
        }

        return $points;
    }
}
