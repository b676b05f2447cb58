<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Metrum\Exchange\Phrases;
use Metrum\Exchange\QuickLine;
use Metrum\Installation\Circuit;
use Metrum\Installation\Kind;
use Metrum\Log\Ground;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Log\NotAFact;
use Metrum\Log\Statement;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Units;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What people say in a working day, and what it means: never something else. */
final class PhrasesTest extends TestCase
{
    private const ASKS = ['asks'];

    /** @return iterable<string, array{string, list<string>}> line, and entries as "kind key value" */
    public static function phrases(): iterable
    {
        $text = (string) file_get_contents(__DIR__.'/phrases.json');
        foreach (json_decode($text, true, 8, JSON_THROW_ON_ERROR) as [$line, $means]) {
            yield $line => [$line, $means];
        }
    }

    /** @param  list<string>  $means */
    #[DataProvider('phrases')]
    public function test_it_means_what_it_says(string $line, array $means): void
    {
        $said = (new QuickLine())->read($line);
        self::assertNotSame([], $said);
        if ($means === self::ASKS) {
            self::assertCount(1, $said);
            $this->expectException(NotAFact::class);
            $said[0]->kind->rule()->content($said[0], self::ground());

            return;
        }
        self::assertSame($means, array_map(
            static fn (Statement $one): string => $one->kind->value.' '.$one->key.' '.$one->typed,
            $said,
        ));
        foreach ($said as $one) {
            $one->kind->rule()->content($one, self::ground());
        }
    }

    public function test_there_are_enough_of_them(): void
    {
        self::assertGreaterThanOrEqual(250, iterator_count(self::phrases()));
    }

    public function test_every_phrase_of_the_book_is_understood_and_can_be_kept(): void
    {
        $reader = new QuickLine();
        foreach ((new Phrases())->all() as $phrase => $meaning) {
            $said = $reader->read($phrase);
            self::assertCount(count(explode('; ', $meaning)), $said, $phrase);
            if (! str_starts_with($meaning, 'ask ')) {
                foreach ($said as $one) {
                    $one->kind->rule()->content($one, self::ground());
                }
            }
        }
    }

    public function test_how_it_was_found_and_why_are_told_in_any_order(): void
    {
        foreach (['found 3 open because starved', 'because starved found 3 open'] as $behind) {
            [$said] = (new QuickLine())->read("valve 1/4 out $behind");
            self::assertSame('3 open', $said->reason);
            self::assertSame('starved', $said->with[PlantMoved::OVERRULED]);
        }
    }

    /** @return iterable<string, array{string, string}> line, what is asked back */
    public static function impossible(): iterable
    {
        yield 'more than the refrigerant can stand at' => ['suction 99 bar', 'Enter −1.01 to 28.25 bar'];
        yield 'a thousand fans' => ['fans 1000', 'Enter 0 to 60'];
        yield 'two decimal signs' => ['box 1.2.3', 'box'];
    }

    #[DataProvider('impossible')]
    public function test_what_cannot_be_is_asked_back(string $line, string $said): void
    {
        [$first] = (new QuickLine())->read($line);
        $this->expectException(NotAFact::class);
        $this->expectExceptionMessageMatches('/'.$said.'/i');
        $first->kind->rule()->content($first, self::ground());
    }

    private static function ground(): Ground
    {
        return new Ground(new Units(), Atmosphere::atAltitude(0.0), Circuit::plain(Kind::WalkInCooler));
    }
}
