<?php

namespace Tests\Feature;

use App\Console\Commands\JsonLinesCommand;
use App\Console\Commands\LineAnswer;
use App\Models\Circuit;
use App\Models\LedgerDay;
use App\Models\Plant;
use App\Models\Site;
use App\Models\User;
use App\Models\Visit;
use Database\Seeders\DemoSeeder;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Knowledge\Fault;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Output\BufferedOutput;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** The command line: JSON Lines in, JSON Lines out, an exit status that scripts can rely on. */
final class CommandsTest extends TestCase
{
    public function test_diagnose_answers_line_by_line_and_refuses_by_line(): void
    {
        $good =
            '{"format":"metrum-visit","version":1,"id":"a","system":{"refrigerant":"R-448A"},"complaint":["too_warm"],'.
            '"readings":{"suction_pressure_kpa":310.2,"suction_temperature_evaporator_c":1.4}}';
        [$status, $lines] = $this->artisanLines(
            'metrum:diagnose',
            $good."\n\n{\"format\":\"x\"}\n".$good."\n",
            ['--json'],
        );
        self::assertSame(1, $status);
        self::assertCount(3, $lines);
        self::assertSame('a', $lines[0]['id']);
        self::assertSame([], $lines[0]['refused']);
        self::assertEqualsWithDelta(1.0, array_sum(array_column($lines[0]['ranking'], 'probability')), 0.001);
        self::assertGreaterThan(25, count($lines[0]['ranking']), 'every fault that such a plant can have');
        self::assertArrayHasKey('evaporator_superheat_k', $lines[0]['derived']);
        self::assertSame(['reading', 'gain_bits'], array_keys($lines[0]['next_tests'][0]));
        self::assertSame(3, $lines[1]['line']);
        self::assertStringContainsString('format: got "x"', $lines[1]['refused'][0]);
        self::assertSame($lines[0], $lines[2]);
    }

    public function test_a_fault_that_is_seen_is_told_beside_the_ranking(): void
    {
        [, $lines] = $this->artisanLines(
            'metrum:diagnose',
            '{"format":"metrum-visit","version":1,"system":{"kind":"walk_in_freezer","refrigerant":"R-448A"},'.
            '"observations":{"drain":"blocked_or_frozen"},"readings":{"fans_running":1,"fans_fitted":3}}'."\n",
        );
        $drain = ['by' => 'drain', 'word' => 'blocked_or_frozen', 'faults' => ['drain_blocked']];
        self::assertContains($drain, $lines[0]['seen']);
        self::assertContains(['by' => 'fans', 'faults' => ['evaporator_airflow_low']], $lines[0]['seen']);
    }

    public function test_a_circuit_that_cannot_be_is_answered_by_house_rules(): void
    {
        $file = [
            'format' => 'metrum-visit',
            'version' => 1,
            'system' => ['kind' => 'walk_in_freezer', 'refrigerant' => 'R-449A'],
            'design' => ['superheat_k' => 40],
            'complaint' => ['too_warm'],
        ];
        [$status, $lines] = $this->artisanLines(
            'metrum:diagnose',
            json_encode($file, JSON_THROW_ON_ERROR)."\n",
        );
        self::assertSame(0, $status);
        self::assertGreaterThan(22, count($lines[0]['ranking']));
    }

    public function test_a_line_that_we_fail_at_is_told_and_the_rest_goes_on(): void
    {
        $command = new class extends JsonLinesCommand
        {
            protected $signature = 'test:lines {file}';

            protected function answer(string $line, int $number): LineAnswer
            {
                return match ($number) {
                    1 => LineAnswer::with(['line' => 1]),
                    2 => throw new \LogicException('of a secret place'),
                    3 => LineAnswer::with(['not a number' => NAN]),
                    default => LineAnswer::with(['line' => $number]),
                };
            }
        };
        $file = (string) tempnam(sys_get_temp_dir(), 'lines');
        file_put_contents($file, "1\n2\n3\n4\n");
        $command->setLaravel(app());
        $output = new BufferedOutput();

        self::assertSame(3, $command->run(new ArrayInput(['file' => $file]), $output));
        unlink($file);
        $said = $output->fetch();
        self::assertStringNotContainsString('secret', $said);
        $lines = array_map(
            static fn (string $line): mixed => json_decode($line, true, 8, JSON_THROW_ON_ERROR),
            explode("\n", trim($said)),
        );
        self::assertSame([1, 2, 3, 4], array_column($lines, 'line'));
        self::assertStringContainsString('internal error', $lines[1]['refused'][0]);
        self::assertStringContainsString('internal error', $lines[2]['refused'][0]);
    }

    public function test_diagnose_reads_one_document_over_many_lines(): void
    {
        [$status, $lines] = $this->artisanLines(
            'metrum:diagnose',
            "{\n \"format\": \"metrum-visit\",\n \"version\": 1,\n \"system\": {\"refrigerant\": \"R-290\"}\n}\n",
        );
        self::assertSame(0, $status);
        self::assertCount(1, $lines);
        self::assertNotSame([], $lines[0]['cautions']);
    }

    public function test_properties_answer_and_refuse(): void
    {
        [$status, $lines] = $this->artisanLines(
            'metrum:properties',
            "{\"refrigerant\":\"R-134a\",\"t_c\":0}\n{\"refrigerant\":\"R-134a\",\"t_c\":900}\n",
        );
        self::assertSame(1, $status);
        self::assertEqualsWithDelta(292.8, $lines[0]['dew_kpa_abs'], 0.3);
        self::assertSame(2, $lines[1]['line']);
        self::assertStringContainsString('outside the property table', $lines[1]['refused'][0]);
    }

    public function test_simulate_answers_steady_states_and_runs_in_time(): void
    {
        $scenario =
            '{"system":{"kind":"walk_in_cooler","refrigerant":"R-448A"},'.
            '"conditions":{"ambient_temperature_c":28,"box_temperature_c":6}}';
        [$status, $lines] = $this->artisanLines(
            'metrum:simulate',
            $scenario."\n{\"system\":{\"refrigerant\":\"R-9\"}}\n",
        );
        self::assertSame(1, $status);
        self::assertLessThan(0.005, $lines[0]['plant']['energy_residual']);
        self::assertSame(2, $lines[1]['line']);
        [$status, $run] = $this->artisanLines('metrum:simulate', $scenario, ['--minutes=5', '--step=30']);
        self::assertSame([0, 11, 300.0], [$status, count($run), $run[10]['time_s']]);
        self::assertLessThan($run[0]['box_temperature_c'], $run[10]['box_temperature_c']);
        $csv = new Process(
            [PHP_BINARY, 'artisan', 'metrum:simulate', '-', '--minutes=1', '--step=60', '--csv'],
            base_path(),
            input: $scenario,
        );
        $csv->mustRun();
        $rows = array_map(
            static fn (string $row): array => str_getcsv($row),
            array_filter(explode("\n", $csv->getOutput())),
        );
        self::assertCount(3, $rows);
        self::assertSame('time_s', $rows[0][0]);
        self::assertSame(count($rows[0]), count($rows[2]));
        $bad = new Process(
            [PHP_BINARY, 'artisan', 'metrum:simulate', '-', '--minutes=1', '--step=0'],
            base_path(),
            input: $scenario,
        );
        self::assertSame(2, $bad->run());
        self::assertStringContainsString('--step: got "0", expected 1 to 600', $bad->getErrorOutput());
    }

    public function test_a_file_that_is_not_there_is_status_two(): void
    {
        $process = new Process([PHP_BINARY, 'artisan', 'metrum:diagnose', 'nowhere.json'], base_path());
        self::assertSame(2, $process->run());
        self::assertSame('', $process->getOutput());
        self::assertStringContainsString('Cannot read file: nowhere.json', $process->getErrorOutput());
    }

    public function test_calibrate_says_what_it_cannot_draw(): void
    {
        foreach ([['--plants' => '3'], ['--plants' => 'many'], ['--seed' => 'x']] as $asked) {
            $this->artisan('metrum:calibrate', $asked)
                ->expectsOutputToContain('Give --plants as a whole number from 500')
                ->assertExitCode(2);
        }
    }

    public function test_the_demo_town_is_whole_and_loads_once(): void
    {
        User::query()->delete();
        $this->circuit->delete();
        Plant::query()->delete();
        Site::query()->delete();
        $this->artisan('metrum:demo')->assertSuccessful();
        $this->artisan('metrum:demo')->assertSuccessful();
        self::assertSame(
            [6, 25, 56],
            [Site::query()->count(), Circuit::query()->count(), Visit::query()->count()],
        );
        self::assertSame(6, Visit::stillOpen()->count());
        self::assertSame(12, LedgerDay::query()->count(), 'days of the ledger are no visits');
        $kinds = Circuit::query()->get()->map(static fn (Circuit $circuit): ?string => $circuit->kind)->unique();
        foreach (
            ['walk_in_cooler', 'walk_in_freezer', 'rack_circuit_medium', 'case_medium', 'ice_machine'] as $kind
        ) {
            self::assertContains($kind, $kinds);
        }
        self::assertGreaterThan(1500.0, Site::query()->max('altitude_m'));
        $this->post('/sign-in', [
            'email' => DemoSeeder::EMAIL,
            'password' => DemoSeeder::PASSWORD,
        ])->assertRedirect('/');
    }

    public function test_nothing_in_the_demo_town_lies_ahead_at_whatever_hour_it_is_made(): void
    {
        $this->travelTo(now()->startOfDay()->addMinutes(20));
        $this->seed(DemoSeeder::class);
        foreach (Visit::query()->get() as $visit) {
            foreach ($visit->log()->facts as $fact) {
                self::assertLessThan(now()->getTimestamp(), $fact->takenAt->getTimestamp(), $fact->content->key);
            }
        }
        $this->travelBack();
    }

    public function test_the_demo_towns_readings_agree_with_each_other(): void
    {
        $this->seed(DemoSeeder::class);
        $faults = [];
        foreach (Visit::query()->with('circuit.site')->get() as $visit) {
            $verdict = (new Diagnosis($visit->rules()))->of($visit->findings(), checks: 0);
            self::assertSame([], $verdict->contradictions, $visit->circuit->name);
            $faults[] = $visit->findings()->confirmed[0] ?? $verdict->first()->fault;
        }
        self::assertGreaterThan(
            6,
            count(array_unique(array_column($faults, 'value'))),
            'several faults are shown',
        );
        self::assertContains(Fault::NoFault, $faults);
    }

    /**
     * @param  list<string>  $options
     * @return array{int, list<array<string, mixed>>}
     */
    private function artisanLines(string $command, string $input, array $options = []): array
    {
        $process = new Process([PHP_BINARY, 'artisan', $command, '-', ...$options], base_path(), input: $input);
        $process->run();
        self::assertSame('', $process->getErrorOutput());
        $lines = array_values(array_filter(explode("\n", $process->getOutput())));

        return [
            (int) $process->getExitCode(),
            array_map(
                static fn (string $line): array => json_decode($line, true, 32, JSON_THROW_ON_ERROR),
                $lines,
            ),
        ];
    }
}
