<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Installation\Circuit;
use Metrum\Installation\Fit;

/** Where, how, for which plants and at what cost something is asked, and what people call it. */
final readonly class Taking
{
    /** Keys of a row that are read here. */
    public const KEYS = [
        'stations',
        'for',
        'only_for',
        'not_for',
        'effort',
        'minutes',
        'cautions',
        'available',
        'how',
        'said',
        'said_with_unit',
        'shared',
        'of_group',
    ];

    /**
     * @param  array<string, int>  $stations  its place among the others, by station; the first is where it belongs
     * @param  list<string>  $cautions  keys of data/cautions.json
     * @param  float  $available  how often there is a place to take it at all, 0 … 1
     * @param  list<string>  $said  words people use for it
     * @param  bool  $isShared  it is about what all circuits of a plant share
     * @param  bool  $isOfGroup  of these, what is read at one suction group's header and compressors
     * @param  list<string>  $saidWithUnit  words of another reading that mean this one where the unit says so
     */
    private function __construct(
        public array $stations,
        public Fit $fit,
        public Effort $effort,
        public int $minutes,
        public array $cautions,
        public float $available,
        public string $how,
        public array $said,
        public array $saidWithUnit,
        public bool $isShared,
        public bool $isOfGroup,
    ) {
    }

    /** Whether it is asked at such a plant: an ice machine has no box, no coil fans and no pull-down. */
    public function isAskedAt(Circuit $circuit): bool
    {
        return $this->fit->asks($circuit);
    }

    /** @throws BrokenData */
    public static function ofRow(DataRow $row): self
    {
        $stations = $row->numbers('stations');
        foreach (array_keys($stations) as $name) {
            if (Station::tryFrom($name) === null) {
                throw $row->broken('stations.'.$name, 'no station of the walk');
            }
        }

        return new self(
            array_map(intval(...), $stations),
            Fit::ofRow($row),
            $row->word('effort', Effort::class),
            (int) $row->number('minutes'),
            $row->texts('cautions'),
            $row->number('available', 1.0),
            $row->text('how'),
            $row->texts('said'),
            $row->texts('said_with_unit'),
            $row->flag('shared', false),
            $row->flag('of_group', false),
        );
    }
}
