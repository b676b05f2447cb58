<?php

namespace Tests\Feature;

use App\Http\NotWritable;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\DB;

/** A logbook whose disk takes nothing more is still read. */
final class SqliteDoorTest extends TestCase
{
    private string $file;

    protected function setUp(): void
    {
        parent::setUp();
        $folder = sys_get_temp_dir().'/metrum door '.bin2hex(random_bytes(6));
        mkdir($folder);
        $this->file = $folder.'/log?book.sqlite';
        touch($this->file);
        config(['database.connections.door' => [
            'driver' => 'sqlite',
            'database' => $this->file,
            'journal_mode' => 'wal',
        ]]);
        DB::connection('door')->statement('create table notes (text text)');
        DB::connection('door')->insert("insert into notes values ('kept')");
        DB::purge('door');
        self::assertFileDoesNotExist($this->file.'-wal', 'closed in order, all of it is in the file');
    }

    protected function tearDown(): void
    {
        DB::purge('door');
        exec('rm -rf '.escapeshellarg(dirname($this->file)));
        parent::tearDown();
    }

    public function test_where_nothing_can_be_made_beside_it_it_is_read_and_what_is_written_is_refused_in_words(): void
    {
        // As a full or read-only disk has it: the file beside cannot be made.
        mkdir($this->file.'-wal');
        self::assertSame('kept', DB::connection('door')->scalar('select text from notes'));
        try {
            DB::connection('door')->insert("insert into notes values ('more')");
            self::fail('It was written.');
        } catch (QueryException $refusal) {
            self::assertInstanceOf(NotWritable::class, NotWritable::orItself($refusal));
        }
        DB::purge('door');
        rmdir($this->file.'-wal');
        DB::connection('door')->insert("insert into notes values ('more')");
        self::assertSame(2, DB::connection('door')->scalar('select count(*) from notes'));
    }

    public function test_what_is_no_database_is_refused_as_before(): void
    {
        file_put_contents($this->file, str_repeat('no database at all. ', 500));
        $this->expectExceptionMessage('file is not a database');
        DB::connection('door')->scalar('select 1 from notes');
    }
}
