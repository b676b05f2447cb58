<?php

namespace Tests\Feature;

use App\Models\FactRecord;
use Illuminate\Foundation\Testing\RefreshDatabaseState;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** The way of a database of before to this one and back: no row, id or order is lost. */
final class MigrationTest extends TestCase
{
    private const COLUMNS = ['seq', 'id', 'kind', 'key', 'value', 'word', 'data'];

    /** Tables are made and dropped here: nothing of it may stand in a transaction. */
    public function beginDatabaseTransaction(): void
    {
        $this->beforeApplicationDestroyed(static function (): void {
            RefreshDatabaseState::$migrated = false;
            RefreshDatabaseState::$inMemoryConnections = [];
        });
    }

    public function test_entries_of_before_become_facts_and_can_go_back(): void
    {
        $visit = $this->visit();
        $this->read($visit, ['suction_pressure_kpa' => '215 kPa', 'box_temperature_c' => '3.2']);
        $this->enter($visit, 'observation', 'sight_glass', 'bubbles')->assertOk();
        $this->enter($visit, 'line', 'line', 'keeper has the key')->assertOk();
        $undone = FactRecord::query()->where('key', 'sight_glass')->sole();
        $this->post("/visits/{$visit->id}/entries/{$undone->id}/undo", ['stage' => 'unit'])->assertRedirect();
        $findings = $visit->fresh()?->findings();
        $facts = self::facts();
        self::assertCount(5, $facts);

        Artisan::call('migrate:rollback', ['--step' => self::since('turn_entries_into_facts')]);
        self::assertSame(count($facts), DB::table('entries')->count());
        self::assertSame($undone->id, DB::table('entries')->where('kind', 'undo')->value('supersedes'));
        self::assertSame('215 kPa', DB::table('entries')->where('key', 'suction_pressure_kpa')->value('typed'));
        self::assertNotNull(DB::table('circuits')->where('id', $this->circuit->id)->value('site_id'));
        Artisan::call('migrate');

        self::assertEquals($facts, self::facts());
        self::assertEquals($findings, $visit->fresh()?->findings());
        self::assertEquals($this->circuit->known(), $this->circuit->fresh()?->load('site', 'plant')->known());
    }

    /** How many migrations there are from this one on. */
    private static function since(string $migration): int
    {
        $names = array_map(basename(...), (array) glob(database_path('migrations/*.php')));
        sort($names);
        $found = array_keys(preg_grep("/$migration/", $names) ?: []);

        return count($names) - $found[0];
    }

    /** @return array<int, array<string, mixed>> */
    private static function facts(): array
    {
        return FactRecord::query()->orderBy('seq')->get(self::COLUMNS)->toArray();
    }
}
