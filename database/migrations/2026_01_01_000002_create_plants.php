<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('sites', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('name', 120);
            $table->string('place', 240)->nullable();
            $table->float('altitude_m')->default(0);
            $table->string('contact', 240)->nullable();
            $table->timestamps();
        });
        Schema::create('circuits', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('site_id')->constrained();
            $table->string('name', 120);
            // The words and figures of the visit file, as they stand there.
            $table->json('system');
            $table->json('design');
            $table->text('notes')->nullable();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('circuits');
        Schema::dropIfExists('sites');
    }
};
