<?php

declare(strict_types=1);

namespace Tests\Core\Findings;

use Metrum\Findings\RackFindings;
use Metrum\Findings\RackLog;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Log\Source;
use Metrum\Log\WholeRack;
use PHPUnit\Framework\TestCase;
use Tests\Core\Racks;
use Tests\Core\TwoGroups;

/** The log of a rack, folded part by part: what a move at one place leaves of what was found at another. */
final class RackLogTest extends TestCase
{
    /** @var list<Fact> */
    private array $facts = [];

    protected function setUp(): void
    {
        $this->read('plant', Reading::ReceiverLevel, 0.41);
        $this->read('plant', Reading::AmbientTemperature, 298.0);
        $this->read('plant', Reading::SuctionSet, 284e3);
        $this->read('circuit 1', Reading::EvaporatorPressure, 3e5);
        $this->read('circuit 2', Reading::EvaporatorPressure, 3.2e5);
        $this->tell('circuit 1', FactKind::Observation, 'frost_coil', 'even');
        $this->tell('circuit 1', FactKind::Complaint, Complaint::TooWarm->value, 'yes');
    }

    public function test_a_move_at_one_circuit_leaves_the_others_and_makes_the_level_what_was_before(): void
    {
        $this->tell('circuit 1', FactKind::Move, 'valve_turn', value: 0.25);
        $found = $this->found();

        self::assertNull($found->shared->reading(Reading::ReceiverLevel));
        self::assertSame(0.41, $found->shared->before[Reading::ReceiverLevel->value]);
        self::assertSame(298.0, $found->shared->reading(Reading::AmbientTemperature));
        $own = $found->of(PartId::circuit(1));
        self::assertSame([], $own->readings);
        self::assertSame([Reading::EvaporatorPressure->value => 3e5], $own->before);
        self::assertSame([], $own->observations);
        self::assertSame([], $own->complaints, 'a complaint is of the plant as it was found');
        self::assertSame(3.2e5, $found->of(PartId::circuit(2))->reading(Reading::EvaporatorPressure));
        $this->read('plant', Reading::ReceiverLevel, 0.5);
        self::assertSame([], $this->found()->shared->before);
    }

    public function test_of_two_groups_each_keeps_its_header_until_a_move_at_one_of_its_circuits(): void
    {
        $plant = TwoGroups::of()->plant;
        $this->facts = [];
        $this->read('group 1', Reading::SuctionHeader, 284e3);
        // At a circuit's compressors it is read at the header of that circuit's group.
        $this->read('circuit 7', Reading::SuctionPressure, 75e3);
        $this->read('circuit 7', Reading::SuctionTemperatureCompressor, 262.0);
        $fold = fn (): RackFindings => RackLog::findings(new WholeRack(new Log($this->facts), $plant));

        $found = $fold();
        self::assertSame(284e3, $found->ofGroup($plant->groups[0])->reading(Reading::SuctionHeader));
        self::assertSame(75e3, $found->ofGroup($plant->groups[1])->reading(Reading::SuctionHeader));
        self::assertSame(262.0, $found->ofGroup($plant->groups[1])->reading(Reading::SuctionTemperatureCompressor));
        self::assertNull($found->shared->reading(Reading::SuctionHeader), 'of none of them alone is it the rack’s');
        $this->tell('circuit 7', FactKind::Move, 'valve_turn', value: 0.25);
        $moved = $fold()->ofGroup($plant->groups[1]);
        self::assertNull($moved->reading(Reading::SuctionHeader));
        self::assertSame(75e3, $moved->before[Reading::SuctionHeader->value]);
    }

    public function test_a_circuit_hears_nothing_of_another_groups_header(): void
    {
        $plant = TwoGroups::of()->plant;
        $this->facts = [];
        $this->read('group 1', Reading::SuctionHeader, 284e3);
        $this->read('group 2', Reading::SuctionHeader, 75e3);
        $log = new Log($this->facts);

        $own = $log->concerning(PartId::circuit(7), $plant->branch(PartId::circuit(7))?->group);
        self::assertSame(['group 2'], array_map(static fn (Fact $one): string => $one->part->value, $own->facts));
    }

    public function test_a_move_of_the_plant_leaves_what_it_cannot_change(): void
    {
        $this->tell('plant', FactKind::Move, 'charge', value: 4.0);
        $found = $this->found();

        self::assertSame(298.0, $found->shared->reading(Reading::AmbientTemperature));
        self::assertSame(284e3, $found->shared->reading(Reading::SuctionSet));
        self::assertNull($found->shared->reading(Reading::ReceiverLevel));
        foreach ([1, 2] as $number) {
            self::assertSame([], $found->of(PartId::circuit($number))->readings, "circuit $number");
        }
    }

    public function test_a_setting_that_changes_nothing_yet_leaves_all(): void
    {
        $this->tell('circuit 1', FactKind::Move, 'defrost_length_set', value: 1800.0);

        self::assertSame(0.41, $this->found()->shared->reading(Reading::ReceiverLevel));
        self::assertSame(3e5, $this->found()->of(PartId::circuit(1))->reading(Reading::EvaporatorPressure));
    }

    public function test_what_a_move_cures_is_confirmed_no_more(): void
    {
        $this->tell('plant', FactKind::Confirmed, Fault::CondenserAirflowLow->value, 'yes');
        self::assertSame([Fault::CondenserAirflowLow], $this->found()->shared->confirmed);
        $this->tell('plant', FactKind::Move, 'condenser_washed', 'done');

        self::assertSame([], $this->found()->shared->confirmed);
        self::assertSame([Fault::CondenserAirflowLow], $this->found()->shared->ruledOut);
    }

    public function test_what_is_taken_back_is_not_found(): void
    {
        $this->tell('circuit 1', FactKind::Observation, 'frost_coil', null);
        $this->tell('circuit 1', FactKind::Complaint, Complaint::TooWarm->value, null);
        $this->tell('circuit 1', FactKind::RuledOut, Fault::EvaporatorIced->value, 'yes');
        $own = $this->found()->of(PartId::circuit(1));

        self::assertNull($own->observed(Observation::FrostCoil));
        self::assertSame([], $own->complaints);
        self::assertSame([Fault::EvaporatorIced], $own->ruledOut);
    }

    public function test_what_a_card_came_to_is_known_of_its_circuit(): void
    {
        $this->tell('circuit 2', FactKind::Card, 'bulb_test.done', 'works_both');

        $own = $this->found()->of(PartId::circuit(2));
        self::assertSame(Word::SuctionRises, $own->tests[Test::ValveBulbWarmed->value]);
    }

    public function test_until_something_is_read_after_a_move_what_was_before_it_is_judged(): void
    {
        $rack = fn (): WholeRack => new WholeRack(new Log($this->facts), Racks::of()->plant);
        $found = count($this->facts);
        self::assertCount($found, $rack()->judged()->log->facts);
        $this->tell('plant', FactKind::Move, 'charge', value: 4.0);
        $this->tell('plant', FactKind::Clock, 'settling', value: 3600.0);
        $this->tell('circuit 1', FactKind::Move, 'door_mended', 'done');
        self::assertCount($found, $rack()->judged()->log->facts);
        $this->read('circuit 2', Reading::BoxTemperature, 276.0);
        self::assertCount($found, $rack()->judged()->log->facts, 'one case says nothing of what all share');
        $this->read('plant', Reading::ReceiverLevel, 0.5);
        self::assertCount($found + 5, $rack()->judged()->log->facts);
        $this->tell('circuit 2', FactKind::Move, 'valve_turn', value: 0.25);
        $this->read('circuit 1', Reading::BoxTemperature, 276.0);
        self::assertCount($found + 5, $rack()->judged()->log->facts, 'another circuit neither');
        $this->read('circuit 2', Reading::BoxTemperature, 276.0);
        self::assertCount($found + 8, $rack()->judged()->log->facts);
    }

    public function test_a_rack_up_to_a_fact_knows_what_was_told_until_then(): void
    {
        $rack = new WholeRack(new Log($this->facts), Racks::of()->plant);
        $second = $this->facts[1];

        self::assertSame(1, count($rack->before($second)->log->facts));
        self::assertSame(2, count($rack->upTo($second)->log->facts));
    }

    private function found(): RackFindings
    {
        return RackLog::findings(new WholeRack(new Log($this->facts), Racks::of()->plant));
    }

    private function read(string $part, Reading $reading, float $si): void
    {
        $this->tell($part, FactKind::Reading, $reading->value, value: $si);
    }

    private function tell(string $part, FactKind $kind, string $key, ?string $word = null, ?float $value = null): void
    {
        $count = count($this->facts);
        $this->facts[] = new Fact(
            sprintf('01J%023d', $count),
            $kind,
            new Content($key, $value, $word),
            new \DateTimeImmutable("@$count"),
            Source::Hand,
            'somebody',
            '',
            PartId::of($part),
        );
    }
}
