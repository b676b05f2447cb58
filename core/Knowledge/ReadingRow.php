<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Quantity\Field;
use Metrum\Quantity\QuantityKind as Quantity;

/** What data/readings.json says of one reading. */
final readonly class ReadingRow
{
    private function __construct(
        public string $label,
        public string $short,
        public string $place,
        public Field $field,
        public Taking $taking,
        public ?MeasuringPlace $drawn = null,
        public string $spoils = '',
    ) {
    }

    /** @throws BrokenData */
    public static function of(DataRow $row, string $key): self
    {
        $row->only([...Taking::KEYS, 'label', 'short', 'place', 'kind', 'span', 'usual', 'drawn', 'spoils']);
        [$least, $most] = $row->span('span');

        return new self(
            $row->text('label'),
            $row->text('short'),
            $row->text('place'),
            Field::inFileUnit(
                $key,
                $row->text('short'),
                $row->word('kind', Quantity::class),
                $least,
                $most,
                $row->has('usual') ? $row->number('usual') : null,
            ),
            Taking::ofRow($row),
            $row->has('drawn') ? $row->word('drawn', MeasuringPlace::class) : null,
            $row->has('drawn') ? $row->text('spoils') : '',
        );
    }
}
