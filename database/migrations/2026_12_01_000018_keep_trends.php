<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a controller wrote down over time, and how its export is read at a plant. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('trends', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('occasion_id')->constrained('occasions')->cascadeOnDelete();
            $table->string('part', 160);
            $table->string('reading', 48);
            $table->dateTime('begins_at');
            $table->dateTime('ends_at');
            $table->longText('samples');
            $table->timestamps();
            $table->index(['occasion_id', 'begins_at']);
        });
        Schema::table('plants', function (Blueprint $table): void {
            $table->text('trend_columns')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('trends');
        Schema::table('plants', function (Blueprint $table): void {
            $table->dropColumn('trend_columns');
        });
    }
};
