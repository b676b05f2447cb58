<?php

namespace App\View\Replacement;

use App\Models\Plant;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Field;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/** What a person enters of a plant where its repair is weighed against its replacement; money in the currency. */
final readonly class ReplacementTerms
{
    private const OLDEST = 1950;

    private const DEAREST = 10_000_000.0;

    /** Of one kWh. */
    private const DEAREST_ENERGY = 100.0;

    /** Share by which a new plant of today takes less than this one when it is sound, where nobody says it. */
    public const BETTER = 0.1;

    /**
     * @param  ?float  $energy  of one kWh
     * @param  ?float  $better  share by which the new plant takes less than this one when sound
     * @param  ?float  $coldest  K, mean of the coldest month, where the condenser stands
     * @param  ?float  $warmest  K, of the warmest
     */
    private function __construct(
        public ?int $commissioned,
        public ?float $replacement,
        public ?float $repair,
        public ?float $energy,
        public ?float $better,
        public ?float $coldest,
        public ?float $warmest,
    ) {
    }

    public static function of(Plant $plant): self
    {
        $kept = $plant->replacement ?? [];
        $number = static fn (string $key): ?float => is_numeric($kept[$key] ?? null) ? (float) $kept[$key] : null;
        $year = $number('commissioned');

        return new self(
            $year === null ? null : (int) $year,
            $number('replacement'),
            $number('repair'),
            $number('energy'),
            $number('better'),
            $number('coldest'),
            $number('warmest'),
        );
    }

    /** @return list<Field> in the order in which they are asked for */
    public static function fields(): array
    {
        $temperature = static fn (string $key, string $label): Field => new Field(
            $key,
            $label,
            QuantityKind::Temperature,
            Celsius::ZERO - 60.0,
            Celsius::ZERO + 60.0,
        );

        return [
            new Field(
                'commissioned',
                'Commissioned in',
                QuantityKind::Count,
                self::OLDEST,
                (float) date('Y'),
            ),
            new Field('replacement', 'Price of replacement', QuantityKind::Count, 0.0, self::DEAREST),
            new Field('repair', 'Price of repair', QuantityKind::Count, 0.0, self::DEAREST),
            new Field('energy', 'Electricity, per kWh', QuantityKind::Ratio, 0.0, self::DEAREST_ENERGY),
            new Field('better', 'New system uses less by', QuantityKind::Share, 0.0, 0.8),
            $temperature('coldest', 'Coldest month, mean ambient'),
            $temperature('warmest', 'Warmest month, mean ambient'),
        ];
    }

    /** As one of them is typed; empty where it was not given. */
    public function typed(Field $field, Units $units): string
    {
        $value = get_object_vars($this)[$field->key] ?? null;

        return match (true) {
            $value === null => '',
            $field->kind === QuantityKind::Temperature => $units->number((float) $value, $field->kind),
            $field->kind === QuantityKind::Share => (string) round(100.0 * $value, 1),
            default => (string) $value,
        };
    }

    /**
     * What was typed, to be kept; an empty field is not known.
     *
     * @param  array<string, string>  $typed
     * @return array{array<string, float>, array<string, string>} values by field, and refusals by field
     */
    public static function read(array $typed, Units $units): array
    {
        $values = $wrong = [];
        foreach (self::fields() as $field) {
            $text = trim($typed[$field->key] ?? '');
            if ($text === '') {
                continue;
            }
            try {
                $values[$field->key] = $field->read($text, $units)->si;
            } catch (NotAQuantity $reason) {
                $wrong[$field->key] = $reason->getMessage();
            }
        }
        [$cold, $warm] = [$values['coldest'] ?? null, $values['warmest'] ?? null];
        if ($cold !== null && $warm !== null && $cold > $warm) {
            $wrong['warmest'] = 'Warmest month: it is colder than the coldest month. Swap the two.';
        }

        return [$values, $wrong];
    }
}
