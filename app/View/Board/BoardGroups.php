<?php

namespace App\View\Board;

use Metrum\Findings\RackFindings;
use Metrum\Installation\SuctionGroup;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Units;

/** The suction groups of a rack: what is read at the header of each, and whose limit that is. */
final readonly class BoardGroups
{
    private const READ = [
        Reading::SuctionHeader,
        Reading::SuctionSet,
        Reading::CompressorsRunning,
        Reading::CompressorsFitted,
        Reading::SuctionTemperatureCompressor,
        Reading::DischargeTemperature,
    ];

    public function __construct(private RackFindings $found, private Units $units)
    {
    }

    /**
     * Of these what all groups share: what is read at a header stands there only where there is but one.
     *
     * @param  list<Reading>  $readings
     * @return list<Reading>
     */
    public function shared(array $readings): array
    {
        $isOne = ! $this->found->plant->hasSeveralGroups();

        return array_values(
            array_filter($readings, static fn (Reading $one): bool => $isOne || ! $one->taking()->isOfGroup),
        );
    }

    /** @return list<array{name: string, circuits: string, cells: list<BoardCell>}> none where there is but one */
    public function apart(): array
    {
        return $this->found->plant->hasSeveralGroups()
            ? array_map($this->one(...), $this->found->plant->groups)
            : [];
    }

    /** @return array{name: string, circuits: string, cells: list<BoardCell>} */
    private function one(SuctionGroup $group): array
    {
        $own = $this->found->ofGroup($group);
        $names = array_map($this->found->nameOf(...), $this->found->plant->branchesOf($group));

        return [
            'name' => $group->label(),
            'circuits' => implode(', ', $names),
            'cells' => array_map(
                fn (Reading $reading): BoardCell => BoardCell::of($group->part, $reading, $own, $this->units),
                self::READ,
            ),
        ];
    }

    /** @return list<array{name: string, value: string}> compressors that run of those fitted */
    public function counts(): array
    {
        $counts = [];
        foreach ($this->found->plant->groups as $group) {
            $own = $this->found->ofGroup($group);
            [$on, $all] = [
                $own->reading(Reading::CompressorsRunning),
                $own->reading(Reading::CompressorsFitted),
            ];
            if ($on !== null && $all !== null) {
                $counts[] = [
                    'name' => $this->of($group, 'Compressors', 'compressors'),
                    'value' => (int) $on.' of '.(int) $all,
                ];
            }
        }

        return $counts;
    }

    /** @return list<array{name: string, value: string, asks: bool}> whose limit each header is */
    public function limits(BoardSentences $said): array
    {
        $limits = [];
        foreach ($this->found->plant->groupsInUse() as $group) {
            $limit = $said->limit($group);
            if ($limit !== '') {
                $limits[] = [
                    'name' => $this->of($group, 'Limit of the group', 'limit'),
                    'value' => $limit,
                    'asks' => false,
                ];
            }
        }

        return $limits;
    }

    /** "Compressors", of several groups "MT compressors". */
    private function of(SuctionGroup $group, string $only, string $ofOne): string
    {
        return $this->found->plant->hasSeveralGroups() ? $group->label().' '.$ofOne : $only;
    }
}
