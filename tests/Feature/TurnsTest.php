<?php

namespace Tests\Feature;

use App\Records\TurnTaking;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Two who write into one SQLite file at once: each has its turn, and nobody loses one for having read first. */
final class TurnsTest extends TestCase
{
    private string $file;

    private TurnTaking $one;

    private TurnTaking $other;

    protected function setUp(): void
    {
        parent::setUp();
        $this->file = (string) tempnam(sys_get_temp_dir(), 'turns');
        $this->one = $this->opened('one');
        $this->other = $this->opened('other');
        $this->one->statement('create table notes (words text)');
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), (array) glob($this->file.'*'));
        parent::tearDown();
    }

    private function opened(string $name): TurnTaking
    {
        config(["database.connections.$name" => [
            'driver' => 'sqlite',
            'database' => $this->file,
            'prefix' => '',
            'busy_timeout' => 0,
            'journal_mode' => 'wal',
        ]]);
        $connection = DB::connection($name);
        self::assertInstanceOf(TurnTaking::class, $connection);

        return $connection;
    }

    /** @return list<string> */
    private function notes(): array
    {
        return $this->one->table('notes')->pluck('words')->all();
    }

    public function test_nobody_writes_between_the_reading_and_the_writing_of_another(): void
    {
        $this->one->transaction(function (): void {
            $this->notes();
            try {
                $this->other->table('notes')->insert(['words' => 'between']);
                self::fail('It is not its turn.');
            } catch (\PDOException $refusal) {
                self::assertStringContainsString('locked', $refusal->getMessage());
            }
            $this->one->table('notes')->insert(['words' => 'first']);
        });
        $this->other->table('notes')->insert(['words' => 'then']);
        self::assertSame(['first', 'then'], $this->notes());
    }

    public function test_who_did_not_get_a_turn_in_time_has_begun_nothing_and_may_ask_again(): void
    {
        $this->other->beginTransaction();
        try {
            $this->one->transaction(fn () => self::fail('It is not its turn.'));
        } catch (\PDOException $refusal) {
            self::assertStringContainsString('locked', $refusal->getMessage());
        }
        self::assertSame(0, $this->one->transactionLevel());
        $this->other->rollBack();
        $this->one->transaction(fn () => $this->one->table('notes')->insert(['words' => 'at last']));
        self::assertSame(['at last'], $this->notes());
    }

    public function test_one_who_only_reads_waits_for_nobody(): void
    {
        $this->one->table('notes')->insert(['words' => 'before']);
        $this->other->beginTransaction();
        $this->other->table('notes')->insert(['words' => 'not yet']);
        self::assertSame(['before'], $this->notes());
        $this->other->commit();
        self::assertSame(['before', 'not yet'], $this->notes());
    }
}
