<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A device counts what it makes: a clock that is set back or forward cannot bring its entries out of order. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('facts', function (Blueprint $table): void {
            $table->string('device', 32)->nullable();
            $table->unsignedBigInteger('made')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('facts', function (Blueprint $table): void {
            $table->dropColumn(['device', 'made']);
        });
    }
};
