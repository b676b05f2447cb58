<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Knowledge\Fault;

/** How often each thing is found so under each fault, where it is looked at. */
final readonly class ChanceTable
{
    /** Added to every count of a chance. */
    private const NEVER_NONE = 2.0;

    /** The same over all faults. */
    private const USUAL = 0.1;

    public function __construct(private Curriculum $taught, private ExpertColumns $experts)
    {
    }

    /**
     * @param  list<DrawnVisit>  $visits
     * @return array<int, array<int, float>> by column and fault, carried and not
     */
    public function of(array $visits): array
    {
        return $this->withUncarried($this->carried($visits));
    }

    /**
     * @param  list<DrawnVisit>  $visits
     * @return array<int, array<int, float>> by column and fault that is carried
     */
    public function carried(array $visits): array
    {
        $counts = array_fill(
            0,
            $this->taught->columns->count,
            array_fill(0, count($this->taught->learned), 0.0),
        );
        foreach ($visits as $visit) {
            $lesson = $this->taught->lesson($visit);
            foreach ($lesson->columns as $n => $column) {
                foreach ($lesson->truth as $place => $share) {
                    $counts[$column][$place] += $share * $lesson->parts[$n];
                }
            }
        }
        $chances = [];
        foreach ($this->taught->columns->features() as $columns) {
            foreach (array_keys($this->taught->learned) as $place) {
                $sum = self::NEVER_NONE;
                $overall = 0.0;
                foreach ($columns as $column) {
                    $sum += $counts[$column][$place];
                    $overall += array_sum($counts[$column]) + self::USUAL;
                }
                foreach ($columns as $column) {
                    $usual = (array_sum($counts[$column]) + self::USUAL) / $overall;
                    $chances[$column][$place] = ($counts[$column][$place] + self::NEVER_NONE * $usual) / $sum;
                }
            }
        }
        ksort($chances);

        return array_values($chances);
    }

    /**
     * @param  array<int, array<int, float>>  $chances
     * @return array<int, array<int, float>>
     */
    private function withUncarried(array $chances): array
    {
        $place = $this->taught->placeOf(Fault::NoFault->value);
        $sound = $this->experts->all(Fault::NoFault);
        foreach ($this->taught->uncarried as $fault) {
            $own = $this->experts->all($fault);
            foreach ($this->taught->columns->features() as $columns) {
                $raw = [];
                foreach ($columns as $column) {
                    $raw[$column] =
                        $chances[$column][$place] * exp(($own[$column] ?? 0.0) - ($sound[$column] ?? 0.0));
                }
                $sum = array_sum($raw);
                foreach ($raw as $column => $chance) {
                    $chances[$column][] = $chance / $sum;
                }
            }
        }

        return $chances;
    }
}
