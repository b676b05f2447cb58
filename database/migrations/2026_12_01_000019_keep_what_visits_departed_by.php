<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How far a closed visit's figures were from the twin is kept beside its fold: a circuit's years are one query. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('folds', function (Blueprint $table): void {
            $table->text('departures')->nullable();
            // Figures of its circuit that drifted when it was closed: "split level"; empty: none did.
            $table->string('drifting')->default('');
        });
    }

    public function down(): void
    {
        Schema::table('folds', function (Blueprint $table): void {
            $table->dropColumn(['departures', 'drifting']);
        });
    }
};
