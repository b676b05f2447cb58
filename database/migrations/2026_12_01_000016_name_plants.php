<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A plant of several circuits is called by a name of its own. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plants', function (Blueprint $table): void {
            $table->string('name', 120)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('plants', function (Blueprint $table): void {
            $table->dropColumn('name');
        });
    }
};
