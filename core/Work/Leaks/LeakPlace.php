<?php

declare(strict_types=1);

namespace Metrum\Work\Leaks;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Data\Knowledge;
use Metrum\Installation\Circuit;
use Metrum\Installation\Fit;

/** A kind of place where refrigerant gets out: one row of data/leak-places.json. */
final readonly class LeakPlace
{
    /**
     * @param  Side  $side  of the circuit that it is on
     * @param  float  $weight  how often leaks are there, beside the others
     * @param  float  $minutes  that searching it takes
     * @param  float  $detector  chance that a detector finds a leak there, in calm air
     * @param  float  $bubbles  the same by bubbles
     * @param  float  $old  how much likelier on an old plant than on a new one
     * @param  string  $mends  key of the card by which it is mended
     * @param  string  $look  what is to be looked at there
     */
    private function __construct(
        public string $key,
        public string $label,
        public Side $side,
        public float $weight,
        public float $minutes,
        public float $detector,
        public float $bubbles,
        public float $old,
        private Fit $fit,
        public string $mends,
        public string $look,
    ) {
    }

    /** @return list<self> that a circuit has @throws BrokenData */
    public static function of(Circuit $circuit): array
    {
        return array_values(
            array_filter(self::all(), static fn (self $one): bool => $one->fit->asks($circuit)),
        );
    }

    /** @return list<self> @throws BrokenData */
    public static function all(): array
    {
        return Knowledge::once('leak places', static function (): array {
            $file = Knowledge::file('leak-places');

            return array_map(static fn (string $key): self => self::read($key, $file->row($key)), $file->keys());
        });
    }

    /** @throws BrokenData */
    private static function read(string $key, DataRow $row): self
    {
        $row->only(['label', 'side', 'weight', 'minutes', 'detector', 'bubbles', 'old', 'fits', 'mends', 'look']);

        return new self(
            $key,
            $row->text('label'),
            $row->word('side', Side::class),
            $row->number('weight'),
            $row->number('minutes'),
            $row->number('detector'),
            $row->number('bubbles'),
            $row->number('old'),
            Fit::ofRow($row->row('fits')),
            $row->text('mends'),
            $row->text('look'),
        );
    }
}
