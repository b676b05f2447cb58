<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Quantity\Field;
use Metrum\Quantity\QuantityKind as Quantity;
use Metrum\Quantity\Unit;

/** What data/house-rules.json says of one rule. */
final readonly class HouseRuleRow
{
    /**
     * @param  ?Field  $field  in which an own band is given; null where only schools can be chosen
     * @param  list<School>  $schools
     * @param  float  $width  least that an own band is wide, in the rule's unit
     */
    private function __construct(
        public string $label,
        public ?Field $field,
        public School $default,
        public array $schools,
        public RuleGroup $group,
        public float $width = 0.0,
    ) {
    }

    /** @throws BrokenData */
    public static function of(DataRow $row, string $key): self
    {
        $row->only(['group', 'label', 'unit', 'span', 'width', 'default', 'schools']);
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
                    $field === null ? 0.0 : $row->number('width'),
                );
            }
        }
        throw $row->broken('default', 'not one of its options');
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

    /**
     * Why an own band (in the rule's unit) cannot be; null where it can. A band of no width, or one out of the world,
     * would be divided by or searched for in vain.
     */
    public function refusal(float $low, float $high): ?string
    {
        if ($this->field === null) {
            return 'choose one of the options';
        }
        $unit = $this->field->fileUnit();
        if ($low > $high) {
            return 'Enter two numbers, lower first.';
        }
        if ($high - $low < $this->width - 1e-9) {
            return "the two numbers must be at least $this->width apart";
        }

        return $this->field->refusal($unit->toSi($low)) ?? $this->field->refusal($unit->toSi($high));
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
            default => throw $row->broken('unit', 'expected k, c, min, kpa, kpa_per_min, percent or none'),
        };
        if ($kind === null) {
            return null;
        }
        [$least, $most] = $row->span('span');

        return Field::inFileUnit($key, $row->text('label'), $kind, $least, $most);
    }
}
