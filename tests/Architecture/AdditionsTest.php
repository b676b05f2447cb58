<?php

declare(strict_types=1);

namespace Tests\Architecture;

use Illuminate\Filesystem\Filesystem;
use PHPUnit\Framework\TestCase;

/** Whoever adds a fault, a kind, a reading, a card or a calculator is told each place that does not know it yet. */
final class AdditionsTest extends TestCase
{
    private string $copy;

    protected function setUp(): void
    {
        $this->copy = sys_get_temp_dir().'/additions-'.bin2hex(random_bytes(4));
        foreach (['core', 'data'] as $folder) {
            (new Filesystem())->copyDirectory(dirname(__DIR__, 2).'/'.$folder, $this->copy.'/'.$folder);
        }
    }

    protected function tearDown(): void
    {
        (new Filesystem())->deleteDirectory($this->copy);
    }

    public function test_a_fault_wants_its_file_and_to_be_learned(): void
    {
        $this->add('Knowledge/Fault', 'DrainBlocked', 'gremlin');
        self::assertSame(
            [
                'label(): data/faults/gremlin.json: the file is missing',
                'isShared(): data/faults/gremlin.json: the file is missing',
                'the catalogue\'s: data/faults/gremlin.json: the file is missing',
                'the twin\'s: data/faults/gremlin.json: the file is missing',
                'the curves\': data/curves.json: gremlin is not learned: run metrum:calibrate',
            ],
            $this->missing('Metrum\Knowledge\Fault::Gremlin'),
        );

        $row = $this->file('faults/drain_blocked');
        $this->write('faults/gremlin', ['fault' => 'gremlin', 'twin' => ['effect' => 'gnaws']] + $row);
        self::assertSame(
            [
                'the twin\'s: data/faults/gremlin.json: twin.effect: "gnaws" is not an effect of the simulated '.
                    'system; "nothing" where it has none',
                'the curves\': data/curves.json: gremlin is not learned: run metrum:calibrate',
            ],
            $this->missing('Metrum\Knowledge\Fault::Gremlin'),
        );

        $this->write('faults/gremlin', ['fault' => 'gremlin'] + $row);
        $curves = $this->file('curves');
        $this->write('curves', ['faults' => [...$curves['faults'], 'gremlin']] + $curves);
        self::assertSame([], $this->missing('Metrum\Knowledge\Fault::Gremlin'));
    }

    public function test_a_kind_wants_its_row_and_what_it_is(): void
    {
        $this->add('Installation/Kind', 'IceMachine', 'snow_gun');
        $missing = implode("\n", $this->missing('Metrum\Installation\Kind::SnowGun'));
        foreach (
            [
                'load(): data/kinds.json: snow_gun',
                'isLowTemperature(): data/kinds.json: snow_gun',
                'usual(): data/kinds.json: snow_gun',
                'a plain: data/kinds.json: snow_gun',
            ] as $place
        ) {
            self::assertStringContainsString($place, $missing);
        }
    }

    public function test_a_reading_wants_its_row(): void
    {
        $this->add('Knowledge/Reading', 'BoxTemperature', 'glow_c');
        $missing = $this->missing('Metrum\Knowledge\Reading::GlowC');
        self::assertNotSame([], $missing);
        foreach ($missing as $one) {
            self::assertStringContainsString('data/readings.json: glow_c', $one);
        }

        $rows = $this->file('readings');
        $this->write('readings', ['glow_c' => $rows['box_temperature_c']] + $rows);
        self::assertSame([], $this->missing('Metrum\Knowledge\Reading::GlowC'));
    }

    public function test_a_card_wants_all_that_a_card_says(): void
    {
        self::assertSame([], $this->missing());
        $card = $this->file('cards/receiver_level');
        $named = ['why' => 'why', 'station' => 'station', 'steps' => 'steps', 'outcome' => 'steps'];
        foreach ($named as $key => $said) {
            $this->write('cards/glow', array_diff_key(['card' => 'glow'] + $card, [$key => true]));
            [$missing] = $this->missing();
            self::assertStringContainsString("data/cards/glow.json: $said: ", $missing);
        }
        $this->write('cards/glow', ['card' => 'glow'] + $card);
        self::assertSame([], $this->missing());
    }

    public function test_a_calculator_wants_its_row_and_its_work(): void
    {
        $this->add('Bench/Calculator', 'Superheat', 'doodle');
        $missing = implode("\n", $this->missing('Metrum\Bench\Calculator::Doodle'));
        foreach (
            [
                'does(): core/Bench/Calculator.php: Unhandled match case',
                'title(): data/bench.json: doodle',
                'purpose(): data/bench.json: doodle',
                'group(): data/bench.json: doodle',
            ] as $place
        ) {
            self::assertStringContainsString($place, $missing);
        }
    }

    /** Adds a word to a vocabulary of the copy, behind another. */
    private function add(string $enum, string $behind, string $word): void
    {
        $path = "$this->copy/core/$enum.php";
        $name = str_replace(' ', '', ucwords(str_replace('_', ' ', $word)));
        $text = (string) file_get_contents($path);
        $added = (string) preg_replace("/^    case $behind = .*$/m", "$0\n    case $name = '$word';", $text);
        self::assertNotSame($text, $added);
        file_put_contents($path, $added);
    }

    /** @return list<string> what the copy says of the words, without their names */
    private function missing(string ...$words): array
    {
        $command = array_map(escapeshellarg(...), [PHP_BINARY, __DIR__.'/additions.php', $this->copy, ...$words]);
        exec(implode(' ', $command).' 2>&1', $lines);
        $plain = static fn (string $line): string => (string) preg_replace('/ ?Metrum\S+?::\w+(->)?/', '', $line);

        return array_map($plain, $lines);
    }

    /** @return array<mixed> */
    private function file(string $name): array
    {
        $rows = json_decode((string) file_get_contents("$this->copy/data/$name.json"), true);
        self::assertIsArray($rows);

        return $rows;
    }

    /** @param  array<mixed>  $rows */
    private function write(string $name, array $rows): void
    {
        file_put_contents("$this->copy/data/$name.json", json_encode($rows, JSON_THROW_ON_ERROR));
    }
}
