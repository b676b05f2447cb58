<?php

declare(strict_types=1);

namespace Metrum\Circuit;

use Metrum\Quantity\BrokenData;
use Metrum\Quantity\Field;
use Metrum\Quantity\Kind as Quantity;
use Metrum\Quantity\Unit;

/** What data/house-rules.json says of one rule. */
final readonly class HouseRuleRow
{
    /** How far an own band may reach, in the rule's unit. */
    private const FARTHEST = 500.0;

    /**
     * @param  ?Field  $field  in which an own band is given; null where only schools can be chosen
     * @param  list<School>  $schools
     */
    private function __construct(
        public string $label,
        public ?Field $field,
        public School $default,
        public array $schools,
        public RuleGroup $group,
    ) {
    }

    /** @throws BrokenData */
    public static function of(DataRow $row, string $key): self
    {
        $row->only(['group', 'label', 'unit', 'default', 'schools']);
        $field = self::field($row, $key);
        $schools = [];
        foreach ($row->rows('schools') as $one) {
            $one->only(['id', 'name', 'band', 'reason']);
            [$low, $high] = $one->span('band');
            $schools[] = new School(
                $one->text('id'),
                $one->text('name'),
                $field === null ? $low : $field->fileUnit()->toSi($low),
                $field === null ? $high : $field->fileUnit()->toSi($high),
                $one->text('reason'),
            );
        }
        foreach ($schools as $school) {
            if ($school->id === $row->text('default')) {
                return new self(
                    $row->text('label'),
                    $field,
                    $school,
                    $schools,
                    $row->word('group', RuleGroup::class),
                );
            }
        }
        throw $row->broken('default', 'none of the schools');
    }

    public function school(string $id): ?School
    {
        foreach ($this->schools as $school) {
            if ($school->id === $id) {
                return $school;
            }
        }

        return null;
    }

    private static function field(DataRow $row, string $key): ?Field
    {
        $unit = $row->text('unit');
        $kind = match ($unit) {
            '' => null,
            Unit::KelvinDifference->value => Quantity::Difference,
            Unit::Celsius->value => Quantity::Temperature,
            Unit::Minute->value => Quantity::Duration,
            Unit::Kilopascal->value => Quantity::GaugePressure,
            Unit::KilopascalPerMinute->value => Quantity::PressureRate,
            Unit::Percent->value => Quantity::Share,
            default => throw $row->broken('unit', 'k, c, min, kpa, kpa_per_min, percent or none is wanted'),
        };
        $least = in_array($kind, [Quantity::Temperature, Quantity::GaugePressure], true) ? -self::FARTHEST / 5 : 0.0;

        return $kind === null
            ? null
            : Field::inFileUnit($key, $row->text('label'), $kind, $least, self::FARTHEST);
    }
}
