<?php

declare(strict_types=1);

namespace Tests\Core\Quantity;

use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Figures in sentences are told in the reader's units, with no more digits than they were written with. */
final class RetellingTest extends TestCase
{
    #[DataProvider('sentences')]
    public function test_a_sentence_is_told_in_pounds_and_fahrenheit(string $written, string $told): void
    {
        $units = new Units(Unit::Fahrenheit, Unit::Psi, Unit::Pound);
        self::assertSame($told, $units->retell($written));
        self::assertSame($told, $units->retell($told), 'what is told so already is let be');
    }

    /** @return iterable<array{string, string}> */
    public static function sentences(): iterable
    {
        yield ['4.5 to 6.5 K', '8.1 to 11.7 °F diff.'];
        yield ['11 to 17 K', '20 to 31 °F diff.'];
        yield ['3 / 8 K', '5.4 / 14 °F diff.'];
        yield ['liquid below 3 K; between 3 and 8 K', 'liquid below 5.4 °F diff.; between 5.4 and 14 °F diff.'];
        yield ['-7 to -1 °C', '19 to 30 °F'];
        yield ['above 0 °C', 'above 32 °F'];
        yield ['subcooling −1.2 K, in', 'subcooling −2.2 °F diff., in'];
        yield ['below 417 kPa gauge', 'below 60 psi gauge'];
        yield ['down to -30 kPa, shortly', 'down to −4.4 psi, shortly'];
        yield ['20 / 35 kPa a minute', '2.9 / 5.1 psi a minute'];
        yield ['add 300 g, then 2.5 kg', 'add 11 oz, then 5.51 lb'];
        yield ['a rise of +3 K', 'a rise of +5.4 °F diff.'];
        yield ['falls 2.1 K/h', 'falls 3.8 °F/h'];
        yield ['80 % in 5 min, 3 kW, R-404A, K-type, 62 g/s', '80 % in 5 min, 3 kW, R-404A, K-type, 62 g/s'];
        yield ['900 kg/m³ and 14 kg-bottles', '900 kg/m³ and 14 kg-bottles'];
    }

    public function test_it_goes_both_ways(): void
    {
        self::assertSame(
            'Swings by 4.5 K, at 2.03 bar and 0 °C, 454 g.',
            (new Units())->retell('Swings by 8.1 °F diff., at 29.4 psi and 32 °F, 16 oz.'),
        );
        self::assertSame('14 kPa', (new Units(pressure: Unit::Kilopascal))->retell('14 kPa'));
        self::assertSame('0.14 bar', (new Units())->retell('14 kPa'));
    }
}
