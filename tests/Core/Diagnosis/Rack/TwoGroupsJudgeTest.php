<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Rack;

use Metrum\Diagnosis\Rack\Neighbours;
use Metrum\Diagnosis\Rack\RackCheck;
use Metrum\Diagnosis\Rack\RackChecks;
use Metrum\Diagnosis\Rack\RackEvidence;
use Metrum\Diagnosis\Rack\RackExamination;
use Metrum\Diagnosis\Rack\RackJudge;
use Metrum\Diagnosis\Rack\RackSign;
use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Findings\PartFindings;
use Metrum\Findings\RackFindings;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use PHPUnit\Framework\TestCase;
use Tests\Core\Racks;
use Tests\Core\TwoGroups;

/** Two suction groups: what is wrong with one of them is told of that one, what all share of the rack. */
final class TwoGroupsJudgeTest extends TestCase
{
    private const WARM = [
        'Peas' => ['readings' => ['box_temperature_c' => -13]],
        'Ice cream' => ['readings' => ['box_temperature_c' => -15]],
    ];

    private const COLD = [
        'Dairy 1' => ['readings' => ['box_temperature_c' => 3]],
        'Deli 1' => ['readings' => ['box_temperature_c' => 4]],
        'Fish 1' => ['readings' => ['box_temperature_c' => 0.5]],
    ];

    private static function judged(RackFindings $found): RackVerdict
    {
        return (new RackJudge())->of(RackExamination::of($found));
    }

    public function test_a_sound_rack_stays_sound(): void
    {
        $verdict = self::judged(TwoGroups::of([], ['receiver_level_percent' => 50], self::COLD));

        self::assertSame(Fault::NoFault, RackVerdict::leading($verdict->plantRanking()));
        self::assertGreaterThan(0.6, $verdict->plantRanking()['no_fault']);
    }

    public function test_a_compressor_that_stands_is_told_of_its_own_group(): void
    {
        foreach (['LT' => [105, self::WARM + self::COLD], 'MT' => [380, []]] as $name => [$header, $cases]) {
            $verdict = self::judged(
                TwoGroups::of([$name => ['suction_header_kpa' => $header, 'compressors_running' => 2]], [], $cases),
            );

            self::assertSame(Fault::CompressorOut, RackVerdict::leading($verdict->plantRanking()), $name);
            self::assertSame($name, $verdict->groupOf(Fault::CompressorOut)?->label());
            self::assertNull($verdict->groupOf(Fault::Undercharge), 'that is of all');
        }
    }

    public function test_a_compressor_that_tripped_is_told_of_the_group_that_lists_it(): void
    {
        $tripped = ['observations' => ['compressor' => 'off_on_overload']];
        $before = self::judged(TwoGroups::of())->plantRanking()['compressor_out'];
        foreach (['L2' => 'LT', 'C2' => 'MT'] as $unit => $group) {
            $verdict = self::judged(TwoGroups::of(compressors: [$unit => $tripped]));

            self::assertGreaterThan(2 * $before, $verdict->plantRanking()['compressor_out']);
            self::assertSame($group, $verdict->groupOf(Fault::CompressorOut)?->label());
        }
    }

    public function test_a_set_point_far_from_its_plan_is_that_groups(): void
    {
        $verdict = self::judged(
            TwoGroups::of(['LT' => ['suction_header_kpa' => 115, 'suction_set_kpa' => 115]], [], self::WARM),
        );

        self::assertSame(Fault::SuctionSetWrong, RackVerdict::leading($verdict->plantRanking()));
        self::assertSame('LT', $verdict->groupOf(Fault::SuctionSetWrong)?->label());
    }

    public function test_a_shortage_is_the_racks_though_one_header_alone_was_read(): void
    {
        $verdict = self::judged(
            TwoGroups::of(['LT' => ['suction_header_kpa' => null, 'suction_set_kpa' => null]], [
                'receiver_level_percent' => 3,
            ], self::WARM),
        );

        self::assertSame(Fault::Undercharge, RackVerdict::leading($verdict->plantRanking()));
        self::assertNull($verdict->groupOf(Fault::Undercharge));
    }

    public function test_chances_add_up_to_one_whatever_was_read(): void
    {
        foreach ([[], ['LT' => ['suction_header_kpa' => 130]], ['MT' => ['compressors_running' => 0]]] as $groups) {
            self::assertEqualsWithDelta(1.0, array_sum(self::judged(TwoGroups::of($groups))->plantRanking()), 1e-9);
        }
    }

    public function test_the_coil_of_a_frozen_case_is_held_against_its_own_header(): void
    {
        $low = ['circuits' => ['Peas' => ['readings' => ['evaporator_pressure_kpa' => 80]]]];
        $found = TwoGroups::of(circuits: $low['circuits']);

        self::assertSame([], RackExamination::of($found)->contradictions, 'above its own header, below the other one');
        $below = TwoGroups::of(circuits: ['Dairy' => ['readings' => ['evaporator_pressure_kpa' => 80]]]);
        self::assertNotSame([], RackExamination::of($below)->contradictions, 'no coil below its own header');
    }

    public function test_a_header_that_nobody_read_is_asked_for_by_its_group(): void
    {
        $verdict = self::judged(
            TwoGroups::of(['LT' => ['suction_header_kpa' => null, 'suction_set_kpa' => null]], [], self::WARM),
        );
        $asked = array_filter(
            (new RackChecks($verdict))->ranked(60),
            static fn (RackCheck $one): bool => $one->asked === Reading::SuctionHeader,
        );

        $of = array_map(static fn (RackCheck $one): string => $one->of->value, array_values($asked));
        self::assertSame(['group 2'], $of);
    }

    public function test_each_group_has_its_own_limit(): void
    {
        $verdict = self::judged(TwoGroups::of());
        $limits = array_map(
            static fn ($group): ?PartId => $verdict->limit($group)?->part,
            $verdict->examined->groups(),
        );

        self::assertSame(['circuit 4', 'circuit 7'], array_map(strval(...), $limits));
    }

    /** @return array<string, array<string, float|int|null>> readings of both groups */
    private static function both(float $over, int $running): array
    {
        return [
            'MT' => ['suction_header_kpa' => 284 + 4 * $over, 'compressors_running' => $running],
            'LT' => ['suction_header_kpa' => 72 + $over, 'compressors_running' => $running],
        ];
    }

    public function test_a_fault_in_both_groups_is_no_surer_of_one_of_them_than_of_the_rack(): void
    {
        $one = self::judged(TwoGroups::of(['LT' => ['suction_header_kpa' => 100, 'compressors_running' => 2]]));
        $both = self::judged(TwoGroups::of(self::both(28, 2)));

        self::assertGreaterThan($one->plantRanking()['compressor_out'], $both->plantRanking()['compressor_out']);
        self::assertLessThan($one->plantRanking()['no_fault'], $both->plantRanking()['no_fault']);
    }

    public function test_two_groups_that_show_nothing_are_suspected_no_more_than_one(): void
    {
        $two = self::judged(TwoGroups::of())->plantRanking();
        $one = self::judged(Racks::of())->plantRanking();

        foreach (['compressor_out', 'compressor_inefficient', 'suction_set_wrong'] as $fault) {
            self::assertLessThan(1.6 * $one[$fault] + 0.02, $two[$fault], $fault);
        }
    }

    public function test_what_is_said_for_a_fault_names_the_group_where_it_was_found(): void
    {
        $verdict = self::judged(TwoGroups::of(['LT' => ['suction_header_kpa' => 105, 'compressors_running' => 2]]));
        $heaviest = $verdict->plant->weightsFor(Fault::CompressorOut)[0][0];

        self::assertSame('group 2', $heaviest->group?->value);
        $head = array_filter(
            $verdict->plant->evidence,
            static fn (RackEvidence $one): bool => $one->sign === RackSign::Ambient,
        );
        self::assertNull(array_values($head)[0]->group, 'the weather is of all');
    }

    public function test_confirmed_at_one_group_it_is_that_groups(): void
    {
        $found = TwoGroups::of();
        $parts = ['group 1' => $found->ofGroup($found->plant->groups[0])->besides(
            new PartFindings(confirmed: [Fault::CompressorInefficient]),
        )] + $found->parts;
        $verdict = self::judged($found->finding($found->shared, $parts));

        self::assertSame(Fault::CompressorInefficient, RackVerdict::leading($verdict->plantRanking()));
        self::assertSame('MT', $verdict->groupOf(Fault::CompressorInefficient)?->label());
    }

    public function test_a_circuits_neighbours_are_those_of_its_group(): void
    {
        $warm = TwoGroups::of([], [], [
            'Dairy 1' => ['readings' => ['box_temperature_c' => 9]],
            'Deli 1' => ['readings' => ['box_temperature_c' => 10]],
            'Ice cream' => ['readings' => ['box_temperature_c' => -22]],
            'Peas' => ['readings' => ['box_temperature_c' => -20]],
        ]);
        $examined = RackExamination::of($warm);
        $over = static fn (int $circuit): ?float => (new Neighbours(
            $examined,
            $warm->plant->branches[$circuit - 1],
        ))->over();

        self::assertEqualsWithDelta(6.0, $over(3), 0.1, 'chilled cases beside Produce are warm');
        self::assertEqualsWithDelta(0.0, $over(8), 0.1, 'frozen ones beside the freezer are not');
    }
}
