<?php

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\FactRecord;
use App\Models\Site;
use App\Models\User;
use App\Models\Visit;
use App\Records\Author;
use App\Records\Making;
use App\Records\Recorder;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Metrum\Log\FactKind;
use Metrum\Log\Statement;
use Symfony\Component\Process\Process;
use Tests\Core\Visits;

/** Copies of the logbook: whole, checked, and brought back, in a database file of their own. */
final class BackupTest extends TestCase
{
    private string $folder;

    private Visit $visit;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/metrum-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
        touch($this->folder.'/logbook.sqlite');
        config([
            'database.writers_lock' => $this->folder.'/writers.lock',
            'database.connections.file' => [
                'driver' => 'sqlite',
                'database' => $this->folder.'/logbook.sqlite',
                'foreign_key_constraints' => true,
                'busy_timeout' => 5000,
                'journal_mode' => 'wal',
            ],
        ]);
        DB::setDefaultConnection('file');
        Artisan::call('migrate', ['--force' => true, '--database' => 'file']);
        $technician = User::invite('Ylva', 'ylva@tarnevik.example', User::TECHNICIAN);
        $site = Site::query()->create(['name' => 'Brygga', 'place' => 'Quay 4', 'altitude_m' => 3]);
        $circuit = Circuit::establish($site, 'Cold room 2', Visits::COOLER['system'], Visits::COOLER['design']);
        $this->visit = Visit::open($circuit->load('site', 'plant'), $technician, now());
    }

    protected function tearDown(): void
    {
        DB::purge('file');
        array_map(unlink(...), glob($this->folder.'/*') ?: []);
        rmdir($this->folder);
        parent::tearDown();
    }

    private function read(string $typed): void
    {
        $author = Author::of($this->visit->user);
        (new Recorder($this->visit, $author, new Making(now()->toDateTimeImmutable())))->record(
            new Statement(FactKind::Reading, 'box_temperature_c', $typed),
        );
    }

    private function backup(string $name): string
    {
        $file = $this->folder.'/'.$name;
        self::assertSame(0, Artisan::call('metrum:backup', ['file' => $file]), Artisan::output());

        return $file;
    }

    public function test_what_was_there_comes_back_and_what_came_since_is_kept_beside_it(): void
    {
        $this->read('4');
        $copy = $this->backup('copy.sqlite');
        $this->read('9');

        $status = Artisan::call('metrum:restore', ['file' => $copy, '--force' => true]);
        self::assertSame(0, $status, Artisan::output());
        self::assertSame(1, FactRecord::query()->count());
        self::assertEqualsWithDelta(277.15, $this->visit->findings()->readings['box_temperature_c'], 1e-9);
        $this->read('5');
        [$before] = glob($this->folder.'/before-restore-*.sqlite') ?: [''];
        self::assertSame(0, Artisan::call('metrum:restore', ['file' => $before, '--force' => true]));
        self::assertSame(2, FactRecord::query()->count());
    }

    public function test_what_is_no_copy_is_refused_and_nothing_is_changed(): void
    {
        $this->read('4');
        $copy = $this->backup('copy.sqlite');
        self::assertSame(1, Artisan::call('metrum:backup', ['file' => $copy]));
        self::assertStringContainsString('exists already; nothing was written', Artisan::output());
        self::assertSame(1, Artisan::call('metrum:backup', ['file' => $this->folder.'/nowhere/copy.sqlite']));
        $harmed = $this->folder.'/harmed.sqlite';
        file_put_contents(
            $harmed,
            substr_replace((string) file_get_contents($copy), str_repeat('x', 9000), 4096, 9000),
        );
        file_put_contents($this->folder.'/text.sqlite', 'no database');
        touch($this->folder.'/empty.sqlite');
        foreach (['harmed', 'text', 'empty', 'missing'] as $name) {
            $file = "{$this->folder}/$name.sqlite";
            self::assertSame(1, Artisan::call('metrum:restore', ['file' => $file, '--force' => true]), $name);
        }
        self::assertSame(1, FactRecord::query()->count());
    }

    public function test_a_folder_takes_a_copy_named_by_its_moment_and_lets_old_ones_go(): void
    {
        $this->read('4');
        $folder = $this->folder.'/copies';
        mkdir($folder);
        $old = 'metrum-20260101-031000.sqlite';
        $young = 'metrum-'.now()->subDays(2)->format('Ymd-His').'.sqlite';
        array_map(static fn (string $one): bool => touch("$folder/$one"), [$old, $young, 'notes.txt']);
        try {
            self::assertSame(1, Artisan::call('metrum:backup', ['file' => $folder, '--keep' => '0']));
            self::assertStringContainsString("'0', expected whole days", Artisan::output());
            self::assertSame(1, Artisan::call('metrum:backup', ['file' => "$folder/one.sqlite", '--keep' => '9']));
            self::assertStringContainsString('--keep needs a folder', Artisan::output());
            self::assertFileExists("$folder/$old");

            self::assertSame(0, Artisan::call('metrum:backup', ['file' => $folder, '--keep' => '30']));
            self::assertFileDoesNotExist("$folder/$old");
            self::assertFileExists("$folder/$young");
            self::assertFileExists("$folder/notes.txt");
            self::assertCount(2, (array) glob("$folder/metrum-*.sqlite"), 'the young one and that of now');
        } finally {
            array_map(unlink(...), glob("$folder/*") ?: []);
            rmdir($folder);
        }
    }

    public function test_a_copy_made_while_others_write_is_whole_and_holds_what_was_confirmed_before(): void
    {
        $database = $this->folder.'/logbook.sqlite';
        $script = base_path('bench/support/writer.php');
        $writer = new Process([PHP_BINARY, $script, $database, $this->visit->id, '1', '3']);
        $writer->start();
        $waits = 200;
        while (FactRecord::query()->count() < 20 && $waits-- > 0) {
            usleep(20_000);
        }
        for ($round = 0; $round < 3; $round++) {
            $confirmed = FactRecord::query()->count();
            $copy = new \PDO('sqlite:'.$this->backup("copy$round.sqlite"));
            $held = (int) $copy->query('select count(*) from facts')->fetchColumn();
            self::assertGreaterThanOrEqual($confirmed, $held);
            self::assertSame('ok', $copy->query('pragma integrity_check')->fetchColumn());
        }
        $writer->wait();
        self::assertSame('', $writer->getErrorOutput(), 'no writer was turned away');
        self::assertSame(
            substr_count($writer->getOutput(), "\n"),
            FactRecord::query()->count(),
            'and none of its entries lost',
        );
    }
}
