<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** The circuit as it was when a visit was opened, and what the visit ended on. */
    public function up(): void
    {
        Schema::table('visits', function (Blueprint $table): void {
            $table->json('system')->nullable();
            $table->json('design')->nullable();
        });
        $circuits = DB::table('circuits')
            ->join('plants', 'plants.id', '=', 'circuits.plant_id')
            ->join('sites', 'sites.id', '=', 'plants.site_id')
            ->get([
                'circuits.id',
                'circuits.kind',
                'circuits.system',
                'circuits.design',
                'plants.refrigerant',
                'plants.system as shared_system',
                'plants.design as shared_design',
                'sites.altitude_m',
            ]);
        foreach ($circuits as $circuit) {
            $system = array_filter(['kind' => $circuit->kind, 'refrigerant' => $circuit->refrigerant]) +
                json_decode($circuit->system, true) +
                json_decode($circuit->shared_system, true) + [
                    'atmospheric_kpa' => round(101.325 * (1 - 2.25577e-5 * $circuit->altitude_m) ** 5.25588, 6),
                ];
            $design = json_decode($circuit->design, true) + json_decode($circuit->shared_design, true);
            DB::table('visits')
                ->where('circuit_id', $circuit->id)
                ->update([
                    'system' => json_encode($system),
                    'design' => json_encode((object) $design),
                ]);
        }
        Schema::create('verdicts', function (Blueprint $table): void {
            $table->foreignUlid('visit_id')->primary()->constrained();
            // Which catalogue, weights and twin it was worked with.
            $table->string('edition', 32);
            $table->boolean('needs_a_look');
            $table->double('probability');
            $table->json('snapshot');
            $table->timestamp('worked_at');
            $table->index(['needs_a_look', 'probability']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('verdicts');
        Schema::table('visits', function (Blueprint $table): void {
            $table->dropColumn(['system', 'design']);
        });
    }
};
