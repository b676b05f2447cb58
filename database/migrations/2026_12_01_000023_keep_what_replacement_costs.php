<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was entered of a plant where its repair is weighed against its replacement. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plants', fn (Blueprint $table) => $table->json('replacement')->nullable());
    }

    public function down(): void
    {
        Schema::table('plants', fn (Blueprint $table) => $table->dropColumn('replacement'));
    }
};
