<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A rack keeps the defrost schedule that is set at its controller. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plants', function (Blueprint $table): void {
            $table->text('defrosts')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('plants', function (Blueprint $table): void {
            $table->dropColumn('defrosts');
        });
    }
};
