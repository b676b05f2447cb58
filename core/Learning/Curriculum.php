<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\CurveSet;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Feature;
use Metrum\Installation\Condition;
use Metrum\Knowledge\Fault;
use Metrum\Learning\Ice\IcePatients;

/** Which faults are learned from visits, in which order, and how a visit is a lesson of them. */
final readonly class Curriculum
{
    public Columns $columns;

    /** @var list<Fault> that are learned, by place */
    public array $learned;

    /** @var list<Fault> that stand on the trade's own curves: clocks, heaters, controls, oil, water, hunting */
    public array $uncarried;

    public function __construct(public CurveSet $set = CurveSet::Settling)
    {
        $this->columns = new Columns($set);
        $carried = static fn (Fault $fault): bool => match ($set) {
            CurveSet::Settling => Patients::isLearned($fault),
            CurveSet::Ice => IcePatients::isLearned($fault),
        };
        $this->learned = array_values(array_filter(Fault::cases(), $carried));
        $this->uncarried = array_values(
            array_filter(Fault::cases(), static fn (Fault $fault): bool => ! $carried($fault)),
        );
    }

    /** @return array<string, float> how often each is drawn that is learned, by Fault */
    public function frequencies(): array
    {
        return match ($this->set) {
            CurveSet::Settling => Patients::frequencies(),
            CurveSet::Ice => IcePatients::frequencies(),
        };
    }

    public function lesson(DrawnVisit $visit): Lesson
    {
        $faults = $visit->faults === [] ? [Fault::NoFault->value] : $visit->faults;
        $truth = [];
        foreach ($faults as $fault) {
            $truth[$this->placeOf($fault)] = 1 / count($faults);
        }

        $closed = array_values(array_diff($this->closed($visit), array_keys($truth)));

        return $this->columns->lesson($visit->features, $truth, $closed);
    }

    /** @return list<int> places of faults that the plant cannot have, as far as it is known */
    private function closed(DrawnVisit $visit): array
    {
        $holds = static fn (Condition $condition): ?bool => match (
            $visit->features[Feature::of($condition)->name()] ?? null
        ) {
            'yes' => true,
            'no' => false,
            default => null,
        };
        $closed = [];
        foreach ($this->learned as $place => $fault) {
            if (! FaultCatalogue::entry($fault)->fit->under($holds)) {
                $closed[] = $place;
            }
        }

        return $closed;
    }

    public function placeOf(string $fault): int
    {
        return (int) array_search(Fault::from($fault), $this->learned, true);
    }
}
