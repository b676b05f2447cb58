<?php

declare(strict_types=1);

namespace Tests\Core\Log;

use Metrum\Diagnosis\Contradictions;
use Metrum\Exchange\QuickLine;
use Metrum\Findings\Chapters;
use Metrum\Findings\Findings;
use Metrum\Installation\PartId;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Taken;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Ground;
use Metrum\Log\Kinds\ReadingTaken;
use Metrum\Log\Log;
use Metrum\Log\NotAFact;
use Metrum\Log\Source;
use Metrum\Log\Statement;
use Metrum\Log\Window;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Units;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** With what a temperature was taken belongs to it: infrared on bare metal is no evidence. */
final class TakenTest extends TestCase
{
    private static function content(string $typed, Reading $reading = Reading::DischargeTemperature): Content
    {
        $ground = new Ground(new Units(), Atmosphere::atAltitude(0.0));

        return (new ReadingTaken())->content(new Statement(FactKind::Reading, $reading->value, $typed), $ground);
    }

    /** @return array<string, array{string, ?Taken}> */
    public static function typed(): array
    {
        return [
            'a clamp at its place' => ['96', null],
            'infrared on tape' => ['96 infrared', Taken::InfraredMatt],
            'with its unit' => ['96 °C, IR bare', Taken::InfraredBare],
            'on metal' => ['96 infrared bare metal', Taken::InfraredBare],
            'far away' => ['96 far', Taken::Far],
        ];
    }

    #[DataProvider('typed')]
    public function test_it_is_typed_behind_the_number(string $typed, ?Taken $with): void
    {
        $content = self::content($typed);

        self::assertEqualsWithDelta(369.15, $content->value, 1e-6);
        self::assertSame($with, ReadingTaken::with($content));
    }

    public function test_no_pressure_is_taken_by_infrared(): void
    {
        $this->expectException(NotAFact::class);
        self::content('12 infrared', Reading::SuctionPressure);
    }

    public function test_a_line_keeps_it_with_its_reading_and_reads_on(): void
    {
        $said = (new QuickLine())->read('discharge 96 infrared bare, suction line 8 ir box 3');

        self::assertSame(
            [
                ['discharge_temperature_c', '96 infrared bare'],
                ['suction_temperature_compressor_c', '8 infrared'],
                ['box_temperature_c', '3'],
            ],
            array_map(static fn (Statement $one): array => [$one->key, $one->typed], $said),
        );
    }

    public function test_a_line_of_the_log_says_it(): void
    {
        $fact = self::fact(self::content('96 infrared'));

        self::assertSame(
            'Discharge line 96.0 °C (infrared, matt spot)',
            (new ReadingTaken())->line($fact, new Units()),
        );
    }

    private static function fact(Content $content, string $id = 'a'): Fact
    {
        return new Fact(
            $id,
            FactKind::Reading,
            $content,
            new \DateTimeImmutable('2026-11-30 10:00'),
            Source::Hand,
            'M. Vik',
            '',
            PartId::circuit(),
        );
    }

    private static function found(Content ...$contents): Findings
    {
        $facts = array_map(
            static fn (Content $one, int $place): Fact => self::fact($one, "fact $place"),
            $contents,
            array_keys($contents),
        );
        $window = new Window(new Log($facts), Visits::cooler()->circuit, PartId::circuit(), 'v', '2026-11-30');

        return Chapters::of($window)->present()->findings;
    }

    public function test_infrared_on_bare_metal_and_a_clamp_far_away_are_doubted_and_a_matt_spot_is_not(): void
    {
        foreach (['96 ir bare' => true, '96 far' => true, '96 ir' => false, '96' => false] as $typed => $isDoubted) {
            $found = self::found(self::content((string) $typed));
            $doubted = Contradictions::doubted(Contradictions::in($found, new HouseRules()), $found);

            self::assertSame($isDoubted ? [Reading::DischargeTemperature] : [], $doubted, (string) $typed);
        }
    }

    public function test_infrared_of_air_is_doubted_whatever_surface_it_saw(): void
    {
        $found = self::found(self::content('3 ir', Reading::BoxTemperature));

        self::assertSame(
            [Reading::BoxTemperature],
            Contradictions::doubted(Contradictions::in($found, new HouseRules()), $found),
        );
    }

    public function test_taken_again_with_a_clamp_it_counts(): void
    {
        $found = self::found(self::content('60 ir bare'), self::content('96'));

        self::assertSame([], $found->taken);
        self::assertEqualsWithDelta(369.15, $found->reading(Reading::DischargeTemperature), 1e-6);
    }
}
