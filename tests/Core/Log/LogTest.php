<?php

declare(strict_types=1);

namespace Tests\Core\Log;

use Metrum\Findings\Chapters;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Installation\CircuitWriter;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Word;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Ground;
use Metrum\Log\Kinds\CircuitChanged;
use Metrum\Log\Kinds\TakenBack;
use Metrum\Log\Log;
use Metrum\Log\NotAFact;
use Metrum\Log\Region;
use Metrum\Log\Source;
use Metrum\Log\Statement;
use Metrum\Log\Window;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Units;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** What each kind of fact keeps, replaces and says, and what a log of them comes to. */
final class LogTest extends TestCase
{
    private int $facts = 0;

    private static function ground(): Ground
    {
        return new Ground(Units::fromSettings(['pressure' => 'bar']), Atmosphere::atAltitude(0.0));
    }

    private function fact(FactKind $kind, Content $content, ?PartId $part = null): Fact
    {
        return new Fact(
            'F'.++$this->facts,
            $kind,
            $content,
            new \DateTimeImmutable('2026-11-26 08:00'),
            Source::Hand,
            'ylva',
            'a plant',
            $part ?? PartId::circuit(),
        );
    }

    private function said(FactKind $kind, string $key, string $typed, string $reason = ''): Fact
    {
        return $this->fact(
            $kind,
            $kind->rule()->content(new Statement($kind, $key, $typed, $reason), self::ground()),
        );
    }

    private static function found(Fact ...$facts): Findings
    {
        $chapters = Chapters::of(
            new Window(new Log(array_values($facts)), Visits::cooler()->circuit, PartId::circuit(), 'v', '2026-11-26'),
        );
        self::assertCount(1, $chapters->all, 'nothing has moved the plant');

        return $chapters->present()->findings;
    }

    public function test_a_reading_is_kept_in_si_with_what_was_typed(): void
    {
        $fact = $this->said(FactKind::Reading, 'suction_pressure_kpa', ' 2,1 ');

        self::assertEqualsWithDelta(210e3, (float) $fact->content->value, 1e-6);
        self::assertSame(['typed' => '2,1', 'unit' => 'bar'], $fact->content->data);
        self::assertSame('Suction pressure 2.10 bar', $fact->rule()->line($fact, self::ground()->units));
    }

    public function test_the_last_fact_of_a_place_stands_and_others_stay_beside_it(): void
    {
        $first = $this->said(FactKind::Reading, 'suction_pressure_kpa', '2.1');
        $box = $this->said(FactKind::Reading, 'box_temperature_c', '4');
        $second = $this->said(FactKind::Reading, 'suction_pressure_kpa', '2.4');
        $log = new Log([$first, $box, $second]);

        self::assertSame([$box, $second], $log->standing());
        self::assertSame($second, $log->fact(FactKind::Reading, 'suction_pressure_kpa'));
        self::assertSame([$second, $box], $log->latest(5));
    }

    public function test_what_adds_up_and_what_is_replaced(): void
    {
        $count = fn (Fact ...$facts): int => count((new Log(array_values($facts)))->standing());
        $twice = fn (FactKind $kind, string $key, string $one, string $other): int => $count(
            $this->said($kind, $key, $one),
            $this->said($kind, $key, $other),
        );

        self::assertSame(2, $twice(FactKind::Note, 'note', 'first', 'second'));
        self::assertSame(1, $twice(FactKind::Note, 'summary', 'first', 'second'));
        self::assertSame(1, $twice(FactKind::State, 'state', 'starting', 'running_settled'));
        self::assertSame(1, $twice(FactKind::Observation, 'sight_glass', 'clear', 'bubbles'));
        self::assertSame(
            2,
            $count(
                $this->said(FactKind::Complaint, 'too_warm', 'yes'),
                $this->said(FactKind::Complaint, 'noisy', 'yes'),
            ),
        );
        self::assertSame(0, $twice(FactKind::Complaint, 'too_warm', 'yes', 'no'));
    }

    public function test_an_undo_brings_back_what_stood_before(): void
    {
        $first = $this->said(FactKind::Reading, 'suction_pressure_kpa', '2.1');
        $second = $this->said(FactKind::Reading, 'suction_pressure_kpa', '2.4');
        $undo = $this->fact(FactKind::Undo, TakenBack::of($second));

        self::assertSame([$first], (new Log([$first, $second, $undo]))->standing());
        self::assertCount(3, (new Log([$first, $second, $undo]))->facts, 'nothing is lost');
    }

    public function test_a_part_has_a_place_of_its_own(): void
    {
        $said = fn (string $of, string $typed): Fact => $this->fact(
            FactKind::Reading,
            FactKind::Reading
                ->rule()
                ->content(new Statement(FactKind::Reading, 'compressor_current_a', $typed), self::ground()),
            self::ground()->partOf(new Statement(FactKind::Reading, 'compressor_current_a', $typed, of: $of)),
        );

        self::assertCount(2, (new Log([$said('compressor 1', '9'), $said('compressor 2', '11')]))->standing());
        self::assertCount(1, (new Log([$said('compressor 1', '9'), $said('Compressor 1', '11')]))->standing());
    }

    public function test_the_findings_are_folded_from_what_stands(): void
    {
        $findings = self::found(
            $this->said(FactKind::State, 'state', 'running_settled'),
            $this->said(FactKind::Reading, 'suction_pressure_kpa', '2.1'),
            $this->said(FactKind::Reading, 'box_temperature_c', '4'),
            $this->said(FactKind::Reading, 'box_temperature_c', ''),
            $this->said(FactKind::Observation, 'sight_glass', 'bubbles'),
            $this->said(FactKind::RuledOut, 'undercharge', 'yes', 'the level stands at half'),
            $this->said(FactKind::Confirmed, 'condenser_airflow_low', 'yes'),
        );

        self::assertSame(State::RunningSettled, $findings->state);
        self::assertEqualsWithDelta(210e3, (float) $findings->reading(Reading::SuctionPressure), 1e-6);
        self::assertNull($findings->reading(Reading::BoxTemperature), 'taken back');
        self::assertSame(Word::Bubbles, $findings->observed(Observation::SightGlass));
        self::assertSame([Fault::Undercharge], $findings->ruledOut);
        self::assertSame([Fault::CondenserAirflowLow], $findings->confirmed);
    }

    public function test_a_changed_circuit_is_what_is_judged_from_then_on(): void
    {
        $circuit = Visits::cooler()->circuit;
        $system = ['refrigerant' => 'R-134a'] + CircuitWriter::system($circuit);
        $other = Circuit::fromWords($system, CircuitWriter::design($circuit));
        $changed = $this->fact(FactKind::Circuit, CircuitChanged::to($other));

        self::assertSame('R-448A', self::found()->circuit->refrigerant);
        self::assertSame('R-134a', self::found($changed)->circuit->refrigerant);
        self::assertSame(
            'Circuit edited, now R-134a',
            $changed->rule()->line($changed, self::ground()->units),
        );
    }

    /** @return iterable<string, array{FactKind, string, string, list<string>}> */
    public static function refused(): iterable
    {
        yield 'no such reading' => [FactKind::Reading, 'mood', '3', ['mood']];
        yield 'no number' => [FactKind::Reading, 'suction_pressure_kpa', 'much', ['much', 'Suction']];
        yield 'below vacuum' => [FactKind::Reading, 'suction_pressure_kpa', '-2 bar', ['−2 bar', 'at least −1.01 bar']];
        yield 'no such question' => [FactKind::Observation, 'weather', 'fine', ['weather']];
        yield 'an answer to another' => [FactKind::Observation, 'sight_glass', 'frozen', ['frozen', 'bubbles']];
        yield 'no such test' => [FactKind::Test, 'sight_glass', 'clear', ['sight_glass']];
        yield 'no such state' => [FactKind::State, 'state', 'asleep', ['asleep', 'asleep']];
        yield 'no such complaint' => [FactKind::Complaint, 'too_blue', 'yes', ['too_blue']];
        yield 'no such fault' => [FactKind::Confirmed, 'gremlins', 'yes', ['gremlins']];
        yield 'an Type a note first note' => [FactKind::Note, 'note', '  ', ['Type a note first']];
        yield 'a circuit by hand' => [FactKind::Circuit, 'circuit', 'R-22', ['own page']];
        yield 'an undo by hand' => [FactKind::Undo, 'x', 'yes', ['log']];
    }

    /** @param  list<string>  $parts */
    #[DataProvider('refused')]
    public function test_what_cannot_be_is_refused_in_words(
        FactKind $kind,
        string $key,
        string $typed,
        array $parts,
    ): void {
        try {
            $this->said($kind, $key, $typed);
            self::fail('It was taken.');
        } catch (NotAFact $refusal) {
            foreach ($parts as $part) {
                self::assertStringContainsString($part, $refusal->getMessage());
            }
        }
    }

    public function test_each_kind_makes_stale_what_it_changes(): void
    {
        $stale = fn (FactKind $kind, string $key, string $typed): array => $this->said($kind, $key, $typed)
            ->rule()
            ->stale($this->said($kind, $key, $typed)->content);

        self::assertSame(Region::cases(), $stale(FactKind::Reading, 'box_temperature_c', '4'));
        self::assertSame(Region::cases(), $stale(FactKind::State, 'state', 'starting'));
        self::assertNotContains(Region::Course, $stale(FactKind::Observation, 'sight_glass', 'clear'));
        self::assertContains(Region::Verdict, $stale(FactKind::Observation, 'sight_glass', 'clear'));
        self::assertContains(Region::Course, $stale(FactKind::Observation, 'compressor', 'off_on_oil'));
        self::assertSame([], $stale(FactKind::Note, 'note', 'key is at the kiosk'));
    }

    public function test_only_a_circuit_and_an_undo_cannot_be_taken_back(): void
    {
        $fixed = array_filter(
            FactKind::cases(),
            static fn (FactKind $kind): bool => ! $kind->rule()->canBeTakenBack(),
        );

        self::assertSame([FactKind::Circuit, FactKind::Undo], array_values($fixed));
    }

    public function test_contents_are_the_same_whatever_order_their_data_came_back_in(): void
    {
        $one = new Content('a', 1.0, null, ['typed' => '1', 'unit' => 'bar']);

        self::assertTrue($one->says(new Content('a', 1.0, null, ['unit' => 'bar', 'typed' => '1'])));
        self::assertFalse($one->says(new Content('a', 1.1, null, ['typed' => '1', 'unit' => 'bar'])));
        self::assertFalse($one->says(new Content('a', 1.0, null, ['typed' => '1', 'unit' => 'psi'])));
        self::assertFalse($one->says(new Content('b', 1.0, null, ['typed' => '1', 'unit' => 'bar'])));
    }
}
