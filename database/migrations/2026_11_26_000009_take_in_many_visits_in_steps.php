<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('visits', function (Blueprint $table): void {
            // What the file told that a visit came from, so that the same file is not taken in twice.
            $table->string('told', 64)->nullable()->index();
        });
        Schema::create('imports', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('user_id')->constrained();
            $table->foreignUlid('circuit_id')->nullable()->constrained();
            $table->string('name');
            $table->unsignedInteger('visits');
            $table->unsignedInteger('checked')->default(0);
            $table->unsignedInteger('taken')->default(0);
            $table->json('refused')->nullable();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('imports');
        Schema::table('visits', function (Blueprint $table): void {
            $table->dropIndex(['told']);
            $table->dropColumn('told');
        });
    }
};
