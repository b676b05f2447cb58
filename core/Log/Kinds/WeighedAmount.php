<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Knowledge\ChargePurpose;
use Metrum\Log\Content;
use Metrum\Log\NotAFact;
use Metrum\Log\Statement;
use Metrum\Quantity\Field;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/** What refrigerant that was moved came out of or went into, and what for: the cylinder before and after. kg. */
final readonly class WeighedAmount
{
    public const CYLINDER = 'cylinder';

    public const BEFORE = 'bottle_before_kg';

    public const AFTER = 'bottle_after_kg';

    public const PURPOSE = 'purpose';

    private const HEAVIEST = 2000.0;

    private const LONGEST = 40;

    /** @param  string  $cylinder  id or name; empty where nobody said */
    private function __construct(
        public string $cylinder,
        public ?float $before,
        public ?float $after,
        public ?ChargePurpose $purpose,
    ) {
    }

    /** @throws NotAFact where a weight is none, or only one of them was given */
    public static function said(Statement $said, Units $units): self
    {
        $with = $said->with;
        $before = self::weight($with[self::BEFORE] ?? '', self::BEFORE, 'Cylinder before', $units);
        $after = self::weight($with[self::AFTER] ?? '', self::AFTER, 'Cylinder after', $units);
        if (($before === null) !== ($after === null)) {
            throw NotAFact::because('Enter both weights, or neither.');
        }
        $purpose = $with[self::PURPOSE] ?? '';
        if ($purpose !== '' && ChargePurpose::tryFrom($purpose) === null) {
            throw NotAFact::unknownWord(
                'Purpose',
                $purpose,
                array_map(static fn (ChargePurpose $one): string => $one->label(), ChargePurpose::cases()),
            );
        }

        return new self(
            mb_substr(trim($with[self::CYLINDER] ?? ''), 0, self::LONGEST),
            $before,
            $after,
            ChargePurpose::tryFrom($purpose),
        );
    }

    /** As a fact keeps it. */
    public static function in(Content $move): self
    {
        $number = static function (string $key) use ($move): ?float {
            $value = $move->data[$key] ?? null;

            return is_float($value) || is_int($value) ? (float) $value : null;
        };

        return new self(
            $move->text(self::CYLINDER),
            $number(self::BEFORE),
            $number(self::AFTER),
            ChargePurpose::tryFrom($move->text(self::PURPOSE)),
        );
    }

    public static function field(string $key, string $label): Field
    {
        return Field::inFileUnit($key, $label, QuantityKind::Mass, 0.0, self::HEAVIEST);
    }

    /** kg into the plant, by the scale; null where it was not weighed. */
    public function moved(): ?float
    {
        return $this->before === null || $this->after === null ? null : $this->before - $this->after;
    }

    /** @return array<string, float|string> */
    public function data(): array
    {
        $data = [
            self::CYLINDER => $this->cylinder === '' ? null : $this->cylinder,
            self::BEFORE => $this->before,
            self::AFTER => $this->after,
            self::PURPOSE => $this->purpose?->value,
        ];

        return array_filter($data, static fn (float|string|null $one): bool => $one !== null);
    }

    /** @throws NotAFact */
    private static function weight(string $typed, string $key, string $label, Units $units): ?float
    {
        if (trim($typed) === '') {
            return null;
        }
        try {
            return self::field($key, $label)->read($typed, $units)->si;
        } catch (NotAQuantity $reason) {
            throw NotAFact::because($reason->getMessage());
        }
    }
}
