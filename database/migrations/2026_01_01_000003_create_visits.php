<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('visits', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('circuit_id')->constrained();
            $table->foreignUlid('user_id')->constrained();
            $table->timestamp('opened_at');
            $table->timestamp('closed_at')->nullable();
            // The house rules in force, so that an old verdict can be understood later.
            $table->json('house_rules');
            $table->timestamps();
            $table->index(['circuit_id', 'opened_at']);
            $table->index('closed_at');
        });
        // The visit's log: nothing is overwritten, a correction or an undo is an entry of its own.
        Schema::create('entries', function (Blueprint $table): void {
            $table->id('seq');
            $table->ulid('id')->unique();
            $table->foreignUlid('visit_id')->constrained();
            $table->foreignUlid('user_id')->constrained();
            $table->string('kind', 16);
            $table->string('key', 48);
            $table->double('value')->nullable();
            $table->string('word', 48)->nullable();
            $table->text('typed')->nullable();
            $table->string('unit', 16)->nullable();
            $table->string('source', 16)->default('hand');
            $table->ulid('supersedes')->nullable();
            $table->timestamp('taken_at');
            $table->timestamp('created_at');
            $table->index(['visit_id', 'seq']);
        });
        Schema::create('follow_ups', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('visit_id')->constrained();
            $table->foreignUlid('circuit_id')->constrained();
            $table->foreignUlid('user_id')->constrained();
            $table->date('due_on');
            $table->string('what', 240);
            $table->timestamp('done_at')->nullable();
            $table->timestamps();
            $table->index(['done_at', 'due_on']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('follow_ups');
        Schema::dropIfExists('entries');
        Schema::dropIfExists('visits');
    }
};
