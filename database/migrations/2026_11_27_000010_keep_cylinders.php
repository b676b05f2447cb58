<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('cylinders', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('label', 40)->unique();
            $table->string('refrigerant', 20);
            $table->boolean('is_recovered')->default(false);
            $table->double('tare');
            $table->double('water');
            $table->string('note', 200)->default('');
            $table->timestamp('gone_at')->nullable();
            $table->timestamps();
        });
        // What happens to a cylinder away from any plant; what goes into a plant or out of it is a fact of a visit.
        Schema::create('stock_moves', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('cylinder_id')->constrained();
            $table->foreignUlid('user_id')->constrained();
            $table->double('kilograms');
            $table->string('why', 16);
            $table->string('note', 200)->default('');
            $table->timestamp('moved_at');
            $table->timestamp('taken_back_at')->nullable();
            $table->timestamps();
        });
        Schema::table('facts', function (Blueprint $table): void {
            $table->index(['kind', 'key']);
        });
    }

    public function down(): void
    {
        Schema::table('facts', function (Blueprint $table): void {
            $table->dropIndex(['kind', 'key']);
        });
        Schema::dropIfExists('stock_moves');
        Schema::dropIfExists('cylinders');
    }
};
