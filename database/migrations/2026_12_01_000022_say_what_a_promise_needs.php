<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A promise has a reason, a condition, what to prepare and to bring; calendars have an address to subscribe to. */
return new class extends Migration
{
    private const SAID = ['why', 'condition', 'prepare', 'bring'];

    public function up(): void
    {
        Schema::table('follow_ups', function (Blueprint $table): void {
            foreach (self::SAID as $column) {
                $table->string($column, 240)->default('');
            }
        });
        Schema::table('users', function (Blueprint $table): void {
            $table->string('calendar_key', 40)->nullable()->unique();
        });
        Schema::table('workshop', function (Blueprint $table): void {
            $table->string('calendar_key', 40)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('workshop', fn (Blueprint $table) => $table->dropColumn('calendar_key'));
        Schema::table('users', function (Blueprint $table): void {
            $table->dropUnique(['calendar_key']);
            $table->dropColumn('calendar_key');
        });
        Schema::table('follow_ups', fn (Blueprint $table) => $table->dropColumn(self::SAID));
    }
};
