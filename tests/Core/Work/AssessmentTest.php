<?php

declare(strict_types=1);

namespace Tests\Core\Work;

use Metrum\Exchange\VisitReader;
use Metrum\Knowledge\HouseRules;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Log\Window;
use Metrum\Twin\Twins;
use Metrum\Work\Assessment;
use PHPUnit\Framework\TestCase;

/** A visit goes on: what was worked stands as long as nothing was added to it, and says what it would say anew. */
final class AssessmentTest extends TestCase
{
    public function test_it_says_at_every_fact_what_it_would_say_worked_anew(): void
    {
        [$facts, $window] = self::visit();
        $twins = new Twins();
        $empty = new Log([]);
        $goesOn = self::assessed($window->withLog($empty));
        for ($told = 0; $told <= count($facts); $told++) {
            $log = new Log(array_slice($facts, 0, $told));
            $anew = new Assessment($window->withLog($log), new HouseRules(), $twins);
            $goesOn = $goesOn->after($window->withLog($log));

            self::assertEquals($anew->accounts(), $goesOn->accounts(), "after $told facts");
            self::assertEquals(
                $anew->verdict($anew->judged())->suspects,
                $goesOn->verdict($goesOn->judged())->suspects,
                "after $told facts",
            );
            self::assertEquals($anew->responses->all(), $goesOn->responses->all(), "after $told facts");
        }
        self::assertNotSame([], $goesOn->responses->all(), 'it was turned and read');
    }

    public function test_a_move_leaves_what_was_weighed_before_it(): void
    {
        [$facts, $window] = self::visit();
        $move = array_search(FactKind::Move, array_map(static fn ($one) => $one->kind, $facts), true);
        self::assertIsInt($move);
        $before = self::assessed($window->withLog(new Log(array_slice($facts, 0, $move))));
        $verdict = $before->verdict($before->judged());
        $after = new Log(array_slice($facts, 0, $move + 1));
        $goesOn = $before->after($window->withLog($after));

        self::assertSame($verdict, $goesOn->verdict($goesOn->judged()), 'one verdict, not two that are alike');
        self::assertSame($before->accounts()[0], $goesOn->accounts()[0]);
    }

    public function test_what_is_told_of_a_chapter_or_taken_back_is_weighed_anew(): void
    {
        [$facts, $window] = self::visit();
        $before = self::assessed($window->withLog(new Log(array_slice($facts, 0, 6))));
        $verdict = $before->verdict($before->judged());
        foreach ([array_slice($facts, 0, 7), array_slice($facts, 1, 5)] as $now) {
            $log = new Log($now);
            $goesOn = $before->after($window->withLog($log));
            self::assertNotSame($verdict, $goesOn->verdict($goesOn->judged()));
        }
    }

    private static function assessed(Window $window): Assessment
    {
        return new Assessment($window, new HouseRules(), new Twins());
    }

    /** @return array{list<\Metrum\Log\Fact>, Window} of a visit with two turns */
    private static function visit(): array
    {
        $at = static fn (int $minute): string => sprintf('2026-07-01T09:%02d:00Z', $minute);
        $read = static fn (int $minute, string $key, float $value): array => [
            'kind' => 'reading', 'key' => $key, 'value' => $value, 'at' => $at($minute),
        ];
        $turn = static fn (int $minute): array => [
            'kind' => 'move', 'key' => 'valve_turn', 'value' => 0.25, 'at' => $at($minute), 'reason' => 'test',
        ];
        $log = [
            ['kind' => 'complaint', 'key' => 'too_warm', 'at' => $at(0)],
            $read(1, 'ambient_temperature_c', 25),
            $read(1, 'box_temperature_c', 4),
            $read(1, 'suction_pressure_kpa', 133),
            $read(1, 'discharge_pressure_kpa', 880),
            $read(2, 'suction_temperature_evaporator_c', 8),
            ['kind' => 'observation', 'key' => 'sight_glass', 'word' => 'clear', 'at' => $at(2)],
            $turn(3),
            $read(25, 'suction_pressure_kpa', 138),
            $read(25, 'suction_temperature_evaporator_c', 5),
            $turn(26),
            $read(50, 'suction_pressure_kpa', 142),
            $read(50, 'suction_temperature_evaporator_c', 2),
        ];
        $file = VisitReader::visit(json_encode([
            'format' => 'metrum-visit',
            'version' => 1,
            'taken_at' => $at(0),
            'system' => ['kind' => 'walk_in_cooler', 'refrigerant' => 'R-134a'],
            'state' => 'running_settled',
            'log' => $log,
        ], JSON_THROW_ON_ERROR));
        self::assertNotNull($file->told);

        return [$file->told->log->facts, $file->told];
    }
}
