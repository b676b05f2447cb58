<?php

namespace App\View;

use App\Picture\Course;
use App\Picture\CourseFacts;
use Metrum\Diagnosis\Cautions;
use Metrum\Diagnosis\Conditions;
use Metrum\Diagnosis\Curves;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\FaultEntry;
use Metrum\Diagnosis\Grade;
use Metrum\Diagnosis\LookAlikes;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Installation\Circuit;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Units;
use Metrum\Twin\Ailment;
use Metrum\Twin\CannotStand;
use Metrum\Twin\PlantState;
use Metrum\Twin\TwinExpectation;
use Metrum\Twin\Twins;

/**
 * One fault as the handbook tells it: in words, and drawn on a twin beside the same plant sound.
 *
 * @phpstan-import-type Change from Changes
 */
final class HandbookEntry
{
    /** How marked a fault is drawn, 0 … 1. */
    private const SEVERITY = ['mild' => 0.35, 'moderate' => 0.6, 'severe' => 0.9];

    private const HEIGHT = 300.0;

    public readonly FaultEntry $entry;

    private ?TwinExpectation $expectation = null;

    public function __construct(
        public readonly Fault $fault,
        public readonly Grade $grade,
        private readonly Circuit $circuit,
        private readonly Units $units,
        Twins $twins,
        private readonly HouseRules $rules = new HouseRules(),
    ) {
        $this->entry = FaultCatalogue::entry($fault);
        $expectation = $this->expected($twins);
        if ($expectation !== null && Ailment::of($fault)->showsAt($expectation->twin->machine)) {
            $this->expectation = $expectation;
        }
    }

    /** Null where the refrigerant's loop does not show the fault: clocks, heaters and controls show in time. */
    public function course(): ?Course
    {
        $facts = $this->facts();

        return $facts === null ? null : Course::across($facts, $this->units, self::HEIGHT);
    }

    public function phoneCourse(): ?Course
    {
        $facts = $this->facts();

        return $facts === null ? null : Course::down($facts, $this->units);
    }

    /** What the plant does at such a fault, where it no longer runs; null where it does. */
    public function stops(): ?string
    {
        return $this->sick($this->grade)?->stopped?->sentence();
    }

    /**
     * Effect on readings, from mild to severe.
     *
     * @return list<array{name: string, sound: string, mild: string, moderate: string, severe: string}>
     */
    public function changes(): array
    {
        if ($this->expectation === null) {
            return [];
        }
        $sound = $this->expectation->twin->at($this->expectation->around);
        $changes = new Changes($this->circuit, $this->rules, $this->units);
        $rows = [];
        foreach (Grade::cases() as $grade) {
            $sick = $this->sick($grade);
            foreach ($sick === null || ! $sick->runs() ? [] : $changes->between($sound, $sick) as $change) {
                $rows[$change['name']] ??= ['name' => $change['name'], 'sound' => $change['before']];
                $rows[$change['name']][$grade->value] = trim($change['now'].' '.$change['arrow']);
            }
        }
        $none = array_fill_keys(array_column(Grade::cases(), 'value'), '–');

        return array_values(
            array_map(
                static fn (array $row): array => $row + $none,
                array_filter(
                    $rows,
                    static fn (array $row): bool => preg_match('/[↑↓]/u', implode('', $row)) === 1,
                ),
            ),
        );
    }

    /** @return list<string> */
    public function cautions(): array
    {
        return Cautions::words($this->entry->cautions);
    }

    /** @return list<array{entry: FaultEntry, by: list<string>}> faults that look like it, and what tells them apart */
    public function lookAlikes(): array
    {
        $alike = new LookAlikes(Curves::learned(), new Conditions(new Findings($this->circuit), null));

        return array_map(
            fn (Fault $other): array => [
                'entry' => FaultCatalogue::entry($other),
                'by' => array_map(self::separator(...), $alike->separators($this->fault, $other)),
            ],
            $alike->of($this->fault),
        );
    }

    /** Of which plant the pictures are. */
    public function plant(): string
    {
        return sprintf('%s, %s', $this->circuit->kind?->label() ?? 'System', $this->circuit->refrigerant);
    }

    private function sick(Grade $grade): ?PlantState
    {
        $expectation = $this->expectation;

        return $expectation === null
            ? null
            : $expectation->twin->withFault($this->fault, self::SEVERITY[$grade->value], $expectation->around);
    }

    private function facts(): ?CourseFacts
    {
        $sick = $this->sick($this->grade);
        if ($sick === null || $this->expectation === null || ! $sick->runs()) {
            return null;
        }
        $findings = new Findings($this->circuit, State::RunningSettled, readings: $sick->readings);

        return new CourseFacts(
            $findings,
            Figures::of($findings, $this->rules),
            $this->rules,
            $this->expectation,
        );
    }

    private function expected(Twins $twins): ?TwinExpectation
    {
        try {
            $twin = $twins->of($this->circuit, $this->rules);
        } catch (CannotStand) {
            return null;
        }
        $design = $twin->machine->design;
        $inTheCold = Ailment::of($this->fault)->inTheCold;
        $weather = [
            Reading::AmbientTemperature->value => $inTheCold ? (Celsius::ZERO - 5.0) : $design->ambient + 3.0,
            Reading::BoxTemperature->value => $design->box,
        ];

        return new TwinExpectation(
            new Findings($this->circuit, State::RunningSettled, readings: $weather),
            $this->rules,
            $twin,
        );
    }

    /** @param  array{Asked|Sign, ?\Metrum\Knowledge\Word}  $separator */
    private static function separator(array $separator): string
    {
        [$thing, $word] = $separator;
        $label = $thing instanceof Sign ? $thing->row()->label : $thing->label();

        return $word === null ? $label : $label.' ('.mb_strtolower($word->label()).')';
    }
}
