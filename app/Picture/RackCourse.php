<?php

namespace App\Picture;

use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Findings\CaseMark;
use Metrum\Findings\RackFindings;
use Metrum\Installation\Branch;
use Metrum\Installation\Coil;
use Metrum\Installation\SuctionGroup;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Twin\Rack\CircuitState;

/**
 * The course of a rack: temperature up, the header's saturation as one line across, each case a column with its coil,
 * where that should be, its air and set point; condensing and ambient above, on a scale of their own.
 */
final readonly class RackCourse
{
    public const WIDTH = 900.0;

    public const HEIGHT = 420.0;

    public const LEFT = 58.0;

    public const RIGHT = 888.0;

    /** Between these the high side stands, and below that the low side. */
    private const HIGH_TOP = 22.0;

    private const HIGH_BOTTOM = 84.0;

    private const TOP = 104.0;

    private const BOTTOM = 342.0;

    /** Columns that have room for a name. */
    private const MOST = 16;

    /** Steps between the lines of the scale, K. */
    private const STEP = 5.0;

    /** @var list<RackColumn> */
    public array $columns;

    /** @var list<array{float, float, string}> from and to of what several cases share, and what it is */
    public array $brackets;

    /** @var list<RackHeader> */
    public array $headers;

    /** @var ?array{float, string} */
    public ?array $condensing;

    /** @var ?array{float, string} */
    public ?array $ambient;

    /** @var list<array{float, string}> */
    public array $levels;

    private Axis $low;

    public function __construct(
        private RackFindings $found,
        private ?RackVerdict $verdict,
        private Units $units,
    ) {
        [$least, $most] = $this->span();
        $this->low = Axis::of(self::BOTTOM, self::TOP, $least, $most)->held();
        $this->levels = array_map(
            fn (float $kelvin): array => [
                $this->low->at($kelvin),
                $units->number($kelvin, QuantityKind::Temperature),
            ],
            $this->low->rounds(self::STEP, Celsius::ZERO),
        );
        [$this->condensing, $this->ambient] = $this->highSide();
        [$this->columns, $this->brackets] = $this->drawn();
        $this->headers = $this->headers();
    }

    /** Whether anything stands in it. */
    public function isBlank(): bool
    {
        $known = array_filter(
            $this->columns,
            static fn (RackColumn $one): bool => $one->air !== null || $one->coil !== null,
        );

        return $known === [] && $this->headers === [];
    }

    /** @return array{float, float} K between which the low side is drawn */
    private function span(): array
    {
        $all = [];
        foreach ($this->found->plant->branches as $branch) {
            foreach ($branch->coils as $coil) {
                $case = $this->found->ofCoil($branch, $coil);
                $all[] = $case->reading(Reading::BoxTemperature);
                $all[] = $case->reading(Reading::SupplyAirTemperature);
            }
            $all[] = $branch->load->setPoint;
            $all[] = $this->now($branch)?->saturated;
            $all[] = $this->verdict?->examined->coil($branch);
        }
        foreach ($this->found->plant->groups as $group) {
            $all[] = $this->dew($group, Reading::SuctionHeader);
            $all[] = $this->dew($group, Reading::SuctionSet);
        }
        $known = array_filter($all, static fn (?float $one): bool => $one !== null);
        if ($known === []) {
            return [Celsius::ZERO - 15.0, Celsius::ZERO + 10.0];
        }

        return [min($known) - 2.5, max(max($known) + 2.0, min($known) + 12.0)];
    }

    private function now(Branch $branch): ?CircuitState
    {
        return $this->verdict?->examined->now?->circuits[$branch->part->value];
    }

    private function dew(SuctionGroup $group, Reading $reading): ?float
    {
        return $this->verdict?->examined->dew($this->found->ofGroup($group)->reading($reading));
    }

    /** @return list<RackHeader> of each group that was read, across the columns of its circuits */
    private function headers(): array
    {
        $headers = [];
        foreach ($this->found->plant->groupsInUse() as $group) {
            $dew = $this->dew($group, Reading::SuctionHeader);
            $set = $this->dew($group, Reading::SuctionSet);
            $own = $this->columnsOf($group);
            if ($dew === null || $own === []) {
                continue;
            }
            $isApart = $this->found->plant->hasSeveralGroups();
            $headers[] = new RackHeader(
                $isApart ? $own[0]->x - $own[0]->width / 2 : self::LEFT,
                $isApart ? $own[count($own) - 1]->x + $own[0]->width / 2 : self::RIGHT,
                $this->low->at($dew),
                $isApart ? $group->label().' header' : 'suction header',
                $this->units->number($dew, QuantityKind::Temperature),
                $set === null ? '' : $this->units->number($set, QuantityKind::Temperature),
            );
        }

        return $headers;
    }

    /** Where the header lies that a column draws from; null where that was not read. */
    public function under(RackColumn $column): ?float
    {
        foreach ($this->headers as $header) {
            if ($column->x > $header->from && $column->x < $header->to) {
                return $header->y;
            }
        }

        return null;
    }

    /** @return list<RackColumn> */
    private function columnsOf(SuctionGroup $group): array
    {
        $own = array_map(
            static fn (Branch $one): string => $one->part->value,
            $this->found->plant->branchesOf($group),
        );

        return array_values(
            array_filter($this->columns, static fn (RackColumn $one): bool => in_array($one->circuit, $own, true)),
        );
    }

    /** @return array{?array{float, string}, ?array{float, string}} condensing and ambient */
    private function highSide(): array
    {
        $condensing = $this->verdict?->examined->bubble($this->found->shared->reading(Reading::DischargePressure));
        $ambient = $this->found->shared->reading(Reading::AmbientTemperature);
        $known = array_filter([$condensing, $ambient], static fn (?float $one): bool => $one !== null);
        if ($known === []) {
            return [null, null];
        }
        $axis = Axis::of(self::HIGH_BOTTOM, self::HIGH_TOP, min($known) - 1.0, max($known) + 1.0);
        $told = fn (?float $kelvin): ?array => $kelvin === null
            ? null
            : [$axis->at($kelvin), $this->units->number($kelvin, QuantityKind::Temperature)];

        return [$told($condensing), $told($ambient)];
    }

    /** @return array{list<RackColumn>, list<array{float, float, string}>} */
    private function drawn(): array
    {
        $whole = array_sum(
            array_map(static fn (Branch $one): int => count($one->coils), $this->found->plant->branches),
        );
        $isApart = $whole <= self::MOST;
        $count = $isApart ? $whole : count($this->found->plant->branches);
        $width = (self::RIGHT - self::LEFT) / max(1, $count);
        $columns = $brackets = [];
        // Group by group, so that each header runs across its own.
        $plant = $this->found->plant;
        foreach (array_merge(...array_map($plant->branchesOf(...), $plant->groupsInUse())) as $branch) {
            $first = count($columns);
            foreach ($isApart ? $branch->coils : [$this->warmest($branch)] as $coil) {
                $x = self::LEFT + (count($columns) + 0.5) * $width;
                $columns[] = $this->column($branch, $coil, $x, $width);
            }
            $last = count($columns) - 1;
            if ($last > $first && $branch->regulator?->isFitted === true) {
                $brackets[] = [$columns[$first]->x - 0.4 * $width, $columns[$last]->x + 0.4 * $width, 'one EPR'];
            }
        }

        return [$columns, $brackets];
    }

    private function warmest(Branch $branch): Coil
    {
        $coils = $branch->coils;
        usort($coils, fn (Coil $a, Coil $b): int => $this->found->aboveSet($branch, $b) <=> $this->found->aboveSet(
            $branch,
            $a,
        ));

        return $coils[0];
    }

    private function column(Branch $branch, Coil $coil, float $x, float $width): RackColumn
    {
        $case = $this->found->ofCoil($branch, $coil);
        $air = $case->reading(Reading::BoxTemperature);
        $supply = $case->reading(Reading::SupplyAirTemperature);
        $measured = $this->verdict?->examined->coil($branch);
        $now = $this->now($branch);
        $isCooling = $now !== null && $now->flow > 0.0;
        $at = fn (?float $kelvin): ?float => $kelvin === null ? null : $this->low->at($kelvin);
        $name = $coil->name === '' || count($branch->coils) === 1 ? $this->found->nameOf($branch) : $coil->name;

        return new RackColumn(
            $name,
            $x,
            $width,
            CaseMark::of($this->found->aboveSet($branch, $coil), $this->found->cools($branch)),
            $at($measured),
            $isCooling ? [$this->low->at($now->saturated + 1.0), $this->low->at($now->saturated - 1.0)] : null,
            $at($air),
            $at($supply),
            $at($branch->load->setPoint),
            $air === null ? '' : $this->units->number($air, QuantityKind::Temperature),
            $this->doing($branch),
            TemperatureColour::of($measured ?? Celsius::ZERO - 5.0),
            $branch->part->value,
        );
    }

    private function doing(Branch $branch): string
    {
        $state = $this->found->of($branch->part)->state;

        return match (true) {
            $this->found->isShut($branch) => 'closed',
            $state === State::InDefrost => 'defrost',
            $state === State::AfterDefrost => 'after defrost',
            $state === State::Off => 'off',
            default => '',
        };
    }
}
