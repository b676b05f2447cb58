<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** Visits at which the plant ran well draw its twin to it. */
    public function up(): void
    {
        Schema::table('visits', function (Blueprint $table): void {
            $table->timestamp('ran_well_at')->nullable();
            $table->index(['circuit_id', 'ran_well_at']);
        });
    }

    public function down(): void
    {
        Schema::table('visits', function (Blueprint $table): void {
            $table->dropIndex(['circuit_id', 'ran_well_at']);
            $table->dropColumn('ran_well_at');
        });
    }
};
