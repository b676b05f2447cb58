<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

return new class extends Migration
{
    private const SHARED_SYSTEM = ['refrigerant', 'condenser', 'head_pressure_control', 'receiver'];

    private const SHARED_DESIGN = [
        'condenser_split_k',
        'rated_current_a',
        'coldest_ambient_c',
        'receiver_volume_l',
        'condenser_volume_l',
        'nameplate_charge_kg',
    ];

    /** What circuits share moves from the circuit to its plant; each circuit so far has a plant of its own. */
    public function up(): void
    {
        Schema::create('plants', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('site_id')->constrained();
            $table->string('refrigerant', 24);
            $table->json('system');
            $table->json('design');
            $table->timestamps();
        });
        Schema::table('circuits', function (Blueprint $table): void {
            $table->foreignUlid('plant_id')->nullable()->constrained();
            $table->string('kind', 32)->nullable();
        });
        foreach (DB::table('circuits')->get() as $circuit) {
            $this->move($circuit);
        }
        Schema::table('circuits', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('site_id');
        });
    }

    public function down(): void
    {
        Schema::table('circuits', function (Blueprint $table): void {
            $table->foreignUlid('site_id')->nullable()->constrained();
        });
        foreach (DB::table('circuits')->get() as $circuit) {
            $plant = DB::table('plants')->where('id', $circuit->plant_id)->first();
            $whole = static fn (string $part): string => json_encode(
                (object) (json_decode($circuit->{$part}, true) + json_decode($plant->{$part}, true)),
            );
            $system = json_decode($whole('system'), true) + ['refrigerant' => $plant->refrigerant];
            DB::table('circuits')
                ->where('id', $circuit->id)
                ->update([
                    'site_id' => $plant->site_id,
                    'system' => json_encode($system + array_filter(['kind' => $circuit->kind])),
                    'design' => $whole('design'),
                ]);
        }
        Schema::table('circuits', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('plant_id');
            $table->dropColumn('kind');
        });
        Schema::dropIfExists('plants');
    }

    private function move(object $circuit): void
    {
        $system = json_decode($circuit->system, true);
        $design = json_decode($circuit->design, true);
        $shared = array_intersect_key($system, array_flip(self::SHARED_SYSTEM));
        $plant = (string) Str::ulid();
        DB::table('plants')->insert([
            'id' => $plant,
            'site_id' => $circuit->site_id,
            'refrigerant' => $system['refrigerant'],
            'system' => json_encode((object) array_diff_key($shared, ['refrigerant' => true])),
            'design' => json_encode((object) array_intersect_key($design, array_flip(self::SHARED_DESIGN))),
            'created_at' => $circuit->created_at,
            'updated_at' => $circuit->updated_at,
        ]);
        DB::table('circuits')
            ->where('id', $circuit->id)
            ->update([
                'plant_id' => $plant,
                'kind' => $system['kind'] ?? null,
                'system' => json_encode((object) array_diff_key($system, $shared, ['kind' => true])),
                'design' => json_encode((object) array_diff_key($design, array_flip(self::SHARED_DESIGN))),
            ]);
    }
};
