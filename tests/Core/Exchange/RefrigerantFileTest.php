<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Metrum\Data\Refused;
use Metrum\Exchange\LogWriter;
use Metrum\Exchange\VisitReader;
use Metrum\Installation\PartId;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Log\Kinds\WeighedAmount;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Refrigerant that was moved, in a visit file: its cylinder, weights, purpose and reason travel with it. */
final class RefrigerantFileTest extends TestCase
{
    private const MOVE = [
        'kind' => 'move',
        'key' => 'charge',
        'value' => 0.4,
        'data' => [
            'cylinder' => 'T-104',
            'bottle_before_kg' => 15,
            'bottle_after_kg' => 14.6,
            'purpose' => 'seasonal',
            'overruled' => 'product cannot wait',
        ],
    ];

    public function test_what_a_file_says_of_refrigerant_is_read_and_written_again(): void
    {
        $log = self::read([self::MOVE]);
        $move = $log->history(FactKind::Move)[0]->content;
        $weighed = WeighedAmount::in($move);
        self::assertSame(['T-104', 15.0, 14.6], [$weighed->cylinder, $weighed->before, $weighed->after]);
        self::assertEqualsWithDelta(0.4, (float) $weighed->moved(), 1e-9);
        self::assertSame('seasonal', $weighed->purpose?->value);
        self::assertSame('product cannot wait', $move->text(PlantMoved::OVERRULED));
        $again = self::read(LogWriter::rows($log, PartId::circuit()));
        self::assertTrue($again->history(FactKind::Move)[0]->content->says($move));
    }

    public function test_a_plain_move_says_nothing_besides(): void
    {
        $log = self::read([['kind' => 'move', 'key' => 'charge', 'value' => -0.2]]);

        self::assertSame([], WeighedAmount::in($log->history(FactKind::Move)[0]->content)->data());
        self::assertArrayNotHasKey('data', LogWriter::rows($log, PartId::circuit())[0]);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refusals(): iterable
    {
        yield 'a weight in words' => [['bottle_before_kg' => 'heavy'], 'data.bottle_before_kg'];
        yield 'for nothing known' => [['purpose' => 'fun'], 'data.purpose'];
    }

    /** @param  array<string, mixed>  $data */
    #[DataProvider('refusals')]
    public function test_what_cannot_be_is_named_with_its_path(array $data, string $path): void
    {
        try {
            self::read([['data' => $data] + self::MOVE]);
            self::fail('not refused');
        } catch (Refused $refused) {
            self::assertStringContainsString($path, implode('; ', $refused->reasons));
        }
    }

    /** @param  list<array<string, mixed>>  $rows */
    private static function read(array $rows): \Metrum\Log\Log
    {
        $file = [
            'format' => 'metrum-visit',
            'version' => 1,
            'system' => ['kind' => 'walk_in_cooler', 'refrigerant' => 'R-448A'],
            'log' => $rows,
        ];
        $told = VisitReader::visit(json_encode($file, JSON_THROW_ON_ERROR))->told;
        assert($told !== null);

        return $told->log;
    }
}
