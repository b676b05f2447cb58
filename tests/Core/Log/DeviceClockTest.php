<?php

declare(strict_types=1);

namespace Tests\Core\Log;

use Metrum\Installation\PartId;
use Metrum\Log\Content;
use Metrum\Log\DeviceClock;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Log\Source;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** An entry that waited on a device keeps the time at which it was made, whatever the device's clock says. */
final class DeviceClockTest extends TestCase
{
    private const OPENED = '2026-11-26T08:00:00Z';

    private const ARRIVED = '2026-11-26T09:00:00Z';

    /** @return iterable<string, array{?string, ?string, string}> made, sent, moment */
    public static function clocks(): iterable
    {
        yield 'a right clock, sent at once' => ['2026-11-26T09:00:00Z', '2026-11-26T09:00:00Z', self::ARRIVED];
        yield 'a right clock, ten minutes later' => [
            '2026-11-26T08:50:00Z',
            '2026-11-26T09:00:00Z',
            '2026-11-26T08:50:00Z',
        ];
        yield 'a clock two years ahead' => ['2028-01-01T00:00:00Z', '2028-01-01T00:10:00Z', '2026-11-26T08:50:00Z'];
        yield 'a clock at its beginning' => ['1970-01-01T00:00:00Z', '1970-01-01T00:10:00Z', '2026-11-26T08:50:00Z'];
        yield 'set back between the two' => ['2026-11-26T08:50:00Z', '2026-11-26T08:40:00Z', self::ARRIVED];
        yield 'before the visit was opened' => ['2026-11-25T08:50:00Z', '2026-11-26T09:00:00Z', self::OPENED];
        yield 'a device that does not say' => [null, null, self::ARRIVED];
    }

    #[DataProvider('clocks')]
    public function test_the_span_that_it_waited_is_counted_back(?string $made, ?string $sent, string $moment): void
    {
        $clock = new DeviceClock(new \DateTimeImmutable(self::OPENED), new \DateTimeImmutable(self::ARRIVED));
        $time = static fn (?string $one): ?\DateTimeImmutable => $one === null ? null : new \DateTimeImmutable($one);

        self::assertEquals(new \DateTimeImmutable($moment), $clock->moment($time($made), $time($sent)));
    }

    public function test_an_older_reading_that_comes_late_does_not_stand_before_a_later_one(): void
    {
        $reading = static fn (string $id, float $value, string $at): Fact => new Fact(
            $id,
            FactKind::Reading,
            new Content('box_temperature_c', $value),
            new \DateTimeImmutable($at),
            Source::Hand,
            'somebody',
            'a plant',
            PartId::circuit(),
        );
        $later = $reading('b', 278.15, '2026-11-26T08:30:00Z');
        $older = $reading('a', 276.15, '2026-11-26T08:20:00Z');

        $log = new Log([$later, $older]);

        self::assertSame($later, $log->fact(FactKind::Reading, 'box_temperature_c'));
        self::assertSame([$older, $later], $log->facts, 'told as it happened');
    }
}
