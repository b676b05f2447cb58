<?php

namespace App\View;

use Metrum\Findings\Chapters;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Station;

/** How far each station of a visit is done. */
final readonly class Walk
{
    /** Cells at the gauges that are counted: those along the circuit. */
    private const COUNTED_CELLS = 10;

    public function __construct(private Findings $findings, private bool $open, private Chapters $chapters)
    {
    }

    /** @return list<WalkStep> */
    public function steps(): array
    {
        return array_map($this->step(...), Station::cases());
    }

    private function step(Station $station): WalkStep
    {
        return match ($station) {
            Station::Complaint => $this->complaint(),
            Station::Verdict => $this->tests(),
            Station::PutRight => $this->moved(),
            Station::Prove => new WalkStep($station, 0, 1, ''),
            Station::Leave => new WalkStep($station, $this->open ? 0 : 1, 1, $this->open ? '' : 'closed'),
            default => $this->looking($station),
        };
    }

    private function complaint(): WalkStep
    {
        $words = array_map(
            static fn (Complaint $one): string => mb_strtolower($one->label()),
            $this->findings->complaints,
        );

        return new WalkStep(Station::Complaint, min(1, count($words)), 1, implode(', ', $words));
    }

    /** Never whole: there is always another test. */
    private function tests(): WalkStep
    {
        $tested = count($this->findings->tests);
        $done = $tested + count($this->findings->confirmed);

        return new WalkStep(Station::Verdict, $done, $done + 1, $tested > 0 ? $tested.' tested' : '');
    }

    /** Never whole: what is put right is proven elsewhere. */
    private function moved(): WalkStep
    {
        $moves = count($this->chapters->all) - 1;
        $said = $moves === 0 ? '' : $moves.($moves === 1 ? ' change' : ' changes');

        return new WalkStep(Station::PutRight, $moves, $moves + 1, $said);
    }

    private function looking(Station $station): WalkStep
    {
        $readings =
            $station === Station::Gauges
                ? array_slice($station->readings(), 0, self::COUNTED_CELLS)
                : $station->readings();
        $asked = array_filter(
            [...$station->observations(), ...$readings],
            fn (Asked $one): bool => $one->taking()->isAskedAt($this->findings->circuit),
        );
        $done = count(array_filter($asked, $this->isKnown(...)));

        return new WalkStep($station, $done, count($asked), $done.' of '.count($asked));
    }

    private function isKnown(Observation|Reading $one): bool
    {
        return $one instanceof Reading
            ? $this->findings->reading($one) !== null
            : $this->findings->observed($one) !== null;
    }
}
