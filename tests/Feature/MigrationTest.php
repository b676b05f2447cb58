<?php

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\FactRecord;
use App\Models\Plant;
use App\Records\LedgerImport;
use App\Records\Stock;
use Database\Seeders\DemoSeeder;
use Illuminate\Foundation\Testing\RefreshDatabaseState;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Metrum\Installation\PartId;
use Tests\TestCase;

/** The way of a database of before to this one and back: no row, id or order is lost. */
final class MigrationTest extends TestCase
{
    private const COLUMNS = ['seq', 'id', 'kind', 'part', 'key', 'value', 'word', 'data'];

    private const MANY = 10_000;

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

    /** What people called a part, a day of a ledger and ten thousand facts go to parts and occasions, and back. */
    public function test_circuits_become_parts_of_their_plants_and_can_go_back(): void
    {
        $visit = $this->visit();
        $told = ['suction_pressure_kpa', 'box_temperature_c', 'discharge_pressure_kpa', 'ambient_temperature_c'];
        $names = ['', 'valve B', 'left/right', 'compressor 2', 'the part x', '/plant'];
        $parts = array_map(
            static fn (string $name): PartId => match ($name) {
                '' => PartId::circuit(),
                '/plant' => PartId::plant(),
                default => PartId::called($name, PartId::circuit()),
            },
            $names,
        );
        for ($i = 0; $i < self::MANY; $i++) {
            $rows[] = [
                'id' => sprintf('%026d', $i),
                'occasion_id' => $visit->id,
                'plant_id' => $this->circuit->plant_id,
                'user_id' => $this->technician->id,
                'kind' => 'reading',
                'part' => $parts[$i % 6]->value,
                'key' => $told[$i % 4],
                'value' => 250000.0 + $i,
                'data' => '{"unit":"kpa"}',
                'source' => 'hand',
                'taken_at' => now()->addSeconds($i),
                'created_at' => now(),
            ];
        }
        foreach (array_chunk($rows, 500) as $some) {
            FactRecord::query()->insert($some);
        }
        $row = ['at' => '2026-01-05T10:00:00Z', 'kilograms' => 0.4, 'circuit_id' => $this->circuit->id];
        (new LedgerImport($this->technician))->take([1 => $row]);
        $is = [
            $visit->fresh()?->load('circuit')->findings(),
            (new Stock())->movements(),
            self::documents([$this->circuit->plant_id]),
        ];
        $facts = self::facts();

        Artisan::call('migrate:rollback', ['--step' => self::since('describe_plants_as_documents')]);
        self::assertSame($names, DB::table('facts')->orderBy('seq')->limit(6)->pluck('subject')->all());
        self::assertSame(1, DB::table('visits')->where('told', 'ledger')->count());
        $words = json_decode((string) DB::table('circuits')->value('system'), true);
        self::assertSame($this->circuit->systemWords()['metering'], $words['metering']);
        self::assertArrayNotHasKey('condenser', $words, 'it stands with the plant');
        self::assertSame(self::MANY + 1, DB::table('facts')->where('circuit_id', $this->circuit->id)->count());
        Artisan::call('migrate');

        self::assertEquals($facts, self::facts());
        self::assertEquals(
            $is,
            [
                $visit->fresh()?->load('circuit')->findings(),
                (new Stock())->movements(),
                self::documents([$this->circuit->plant_id]),
            ],
        );
    }

    /**
     * What a rack is made of, and of which class a compressor is, did not stand in the tables of before; all that was
     * found did.
     */
    public function test_the_demo_town_goes_back_and_forth(): void
    {
        $this->seed(DemoSeeder::class);
        $facts = self::facts();
        $plain = Plant::query()->whereNull('name')->pluck('id')->all();
        self::assertSame(Plant::query()->count() - 1, count($plain));
        $documents = self::documents($plain);
        $known = static fn (): array => Circuit::query()
            ->whereIn('plant_id', $plain)
            ->with('site', 'plant')
            ->orderBy('id')
            ->get()
            ->map(static fn (Circuit $one): mixed => $one->known())
            ->all();
        $circuits = $known();

        Artisan::call('migrate:rollback', ['--step' => self::since('describe_plants_as_documents')]);
        Artisan::call('migrate');

        self::assertEquals($facts, self::facts());
        self::assertEquals($documents, self::documents($plain));
        self::assertEquals($circuits, $known());
    }

    /**
     * @param  list<string>  $plants
     * @return array<string, list<mixed>> what plants, and visits as they were opened, are made of
     */
    private static function documents(array $plants): array
    {
        $circuits = DB::table('parts')->whereIn('plant_id', $plants)->pluck('id');
        $of = static fn (string $table, string $column, iterable $among): array => DB::table($table)
            ->whereIn($column, $among)
            ->orderBy('id')
            ->pluck('installation')
            ->map(static fn (string $json): mixed => self::withoutClasses(json_decode($json, true)))
            ->all();

        return ['plants' => $of('plants', 'id', $plants), 'occasions' => $of('occasions', 'circuit_id', $circuits)];
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    private static function withoutClasses(array $document): array
    {
        foreach (array_keys($document['compressors'] ?? []) as $place) {
            unset($document['compressors'][$place]['class']);
        }

        return $document;
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
