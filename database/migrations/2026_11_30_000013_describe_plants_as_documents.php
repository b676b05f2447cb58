<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What a plant is made of becomes one document; its circuits become named parts of it. Visits keep the plant as it was
 * when they began. Words and figures stay as they were.
 */
return new class extends Migration
{
    private const STEP = 500;

    /** Of all circuits of a plant; the rest is each circuit's own. */
    private const SHARED_SYSTEM = ['refrigerant', 'condenser', 'head_pressure_control', 'receiver', 'atmospheric_kpa'];

    private const SHARED_DESIGN = [
        'condenser_split_k',
        'coldest_ambient_c',
        'receiver_volume_l',
        'condenser_volume_l',
        'nameplate_charge_kg',
        'liquid_line_length_m',
        'liquid_line_bore_mm',
    ];

    /** Kinds whose compressors other circuits draw on. */
    private const RACK = ['rack_circuit_medium', 'rack_circuit_low'];

    public function up(): void
    {
        Schema::rename('circuits', 'parts');
        Schema::table('parts', function (Blueprint $table): void {
            $table->string('part', 160)->default('');
        });
        foreach (['plants', 'visits'] as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->json('installation')->default('{}');
            });
        }
        foreach (DB::table('plants')->get() as $plant) {
            $this->describe($plant);
        }
        $parts = DB::table('parts')->pluck('part', 'id');
        // A day of a ledger is nobody's look: of no plant as it was then.
        $looks = DB::table('visits')->where(
            fn ($any) => $any->whereNull('told')->orWhere('told', '!=', 'ledger'),
        );
        $looks->chunkById(self::STEP, function ($visits) use ($parts): void {
            foreach ($visits as $visit) {
                $circuit = [$parts[$visit->circuit_id], self::read($visit->system), self::read($visit->design)];
                $this->keep('visits', $visit->id, self::document([$circuit]));
            }
        });
        foreach (['parts', 'plants', 'visits'] as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->dropColumn(['system', 'design']);
            });
        }
        Schema::table('parts', function (Blueprint $table): void {
            $table->unique(['plant_id', 'part']);
        });
    }

    public function down(): void
    {
        Schema::table('parts', function (Blueprint $table): void {
            $table->dropUnique(['plant_id', 'part']);
        });
        foreach (['parts', 'plants', 'visits'] as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->json('system')->default('{}');
                $table->json('design')->default('{}');
            });
        }
        foreach (DB::table('plants')->get() as $plant) {
            $document = self::read($plant->installation);
            [$system, $design] = self::shared($document);
            unset($system['refrigerant']);
            $this->say('plants', $plant->id, $system, $design);
            foreach (DB::table('parts')->where('plant_id', $plant->id)->get() as $part) {
                [$own, $figures] = self::own($document, $part->part);
                unset($own['kind']);
                $this->say('parts', $part->id, $own, $figures);
            }
        }
        DB::table('visits')->chunkById(self::STEP, function ($visits): void {
            foreach ($visits as $visit) {
                $part = DB::table('parts')->where('id', $visit->circuit_id)->first();
                $circuit = $part->part;
                $document = self::read($visit->installation);
                if ($document === []) {
                    $document = self::read(DB::table('plants')->where('id', $part->plant_id)->value('installation'));
                }
                [$system, $design] = self::shared($document);
                [$own, $figures] = self::own($document, $circuit);
                $this->say('visits', $visit->id, $own + $system, $figures + $design);
            }
        });
        foreach (['plants', 'visits'] as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->dropColumn('installation');
            });
        }
        Schema::table('parts', function (Blueprint $table): void {
            $table->dropColumn('part');
        });
        Schema::rename('parts', 'circuits');
    }

    /** Numbers the circuits of a plant in the order in which they were made, and writes its document. */
    private function describe(object $plant): void
    {
        $circuits = [];
        $rows = DB::table('parts')->where('plant_id', $plant->id)->orderBy('created_at')->orderBy('id')->get();
        foreach ($rows as $place => $row) {
            $name = 'circuit '.($place + 1);
            DB::table('parts')->where('id', $row->id)->update(['part' => $name]);
            $kind = array_filter(['kind' => $row->kind]);
            $shared = ['refrigerant' => $plant->refrigerant] + self::read($plant->system);
            $circuits[] = [
                $name,
                $kind + self::read($row->system) + $shared,
                self::read($row->design) + self::read($plant->design),
            ];
        }
        if ($circuits !== []) {
            $this->keep('plants', $plant->id, self::document($circuits));
        }
    }

    /**
     * @param  non-empty-list<array{string, array<string, mixed>, array<string, mixed>}>  $circuits part, words, figures
     * @return array<string, mixed>
     */
    private static function document(array $circuits): array
    {
        [, $system, $design] = $circuits[0];
        $isRack = in_array($system['kind'] ?? '', self::RACK, true);
        $group = [
            'part' => 'group 1',
            'held_by' => $isRack ? 'pressure' : 'load',
            'serves_others' => $isRack,
        ];
        $rated = array_intersect_key($design, ['rated_current_a' => true]);
        $compressor = ['part' => 'compressor 1', 'group' => 'group 1'] + ($rated === [] ? [] : ['design' => $rated]);

        return array_filter([
            'version' => 1,
            'system' => array_intersect_key($system, array_flip(self::SHARED_SYSTEM)),
            'design' => array_intersect_key($design, array_flip(self::SHARED_DESIGN)),
            'groups' => [$group],
            'compressors' => $rated === [] ? [] : [$compressor],
            'circuits' => array_map(self::circuit(...), $circuits),
        ], static fn (mixed $one): bool => $one !== []);
    }

    /**
     * @param  array{string, array<string, mixed>, array<string, mixed>}  $circuit
     * @return array<string, mixed>
     */
    private static function circuit(array $circuit): array
    {
        [$part, $system, $design] = $circuit;
        $own = array_diff_key($system, array_flip(self::SHARED_SYSTEM));
        $figures = array_diff_key($design, array_flip(self::SHARED_DESIGN), ['rated_current_a' => true]);
        $coil = ['part' => "$part/coil 1"] + array_intersect_key($figures, ['evaporator_td_k' => true]);

        return array_filter([
            'part' => $part,
            'group' => 'group 1',
            'system' => $own,
            'design' => array_diff_key($figures, ['evaporator_td_k' => true]),
            'coils' => [$coil],
        ], static fn (mixed $one): bool => $one !== []);
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array{array<string, mixed>, array<string, mixed>} words and figures that all circuits share
     */
    private static function shared(array $document): array
    {
        $rated = [];
        foreach ($document['compressors'] ?? [] as $one) {
            $rated[] = $one['design']['rated_current_a'] ?? 0;
        }
        $current = array_sum($rated) > 0 ? ['rated_current_a' => array_sum($rated)] : [];

        return [$document['system'] ?? [], ($document['design'] ?? []) + $current];
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array{array<string, mixed>, array<string, mixed>} words and figures of one circuit
     */
    private static function own(array $document, string $part): array
    {
        foreach ($document['circuits'] ?? [] as $one) {
            if ($one['part'] === $part) {
                $coil = array_diff_key($one['coils'][0] ?? [], ['part' => true]);

                return [$one['system'] ?? [], array_diff_key($one['design'] ?? [], ['capacity_kw' => true]) + $coil];
            }
        }

        return [[], []];
    }

    /** @return array<string, mixed> */
    private static function read(?string $json): array
    {
        $read = json_decode((string) $json, true);

        return is_array($read) ? $read : [];
    }

    /** @param  array<string, mixed>  $document */
    private function keep(string $table, string $id, array $document): void
    {
        $json = json_encode($document, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
        DB::table($table)->where('id', $id)->update(['installation' => $json]);
    }

    /**
     * @param  array<string, mixed>  $system
     * @param  array<string, mixed>  $design
     */
    private function say(string $table, string $id, array $system, array $design): void
    {
        DB::table($table)->where('id', $id)->update([
            'system' => json_encode((object) $system),
            'design' => json_encode((object) $design),
        ]);
    }
};
