<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What an owner may choose after a visit, at which price, and what was decided. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('workshop', function (Blueprint $table): void {
            $table->unsignedInteger('id')->primary();
            $table->string('name', 120)->default('');
            $table->string('address', 240)->default('');
            $table->string('contact', 120)->default('');
            $table->string('currency', 3)->default('EUR');
            $table->float('tax_percent')->default(0);
            // In hundredths of the currency: an hour of work, and being there at all.
            $table->unsignedInteger('labour')->default(0);
            $table->unsignedInteger('call_out')->default(0);
            // Name, unit and price of what is sold, as it was typed.
            $table->text('prices')->nullable();
            $table->timestamps();
        });
        Schema::create('owner_choices', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('visit_id')->constrained('occasions')->cascadeOnDelete();
            $table->foreignUlid('user_id')->constrained();
            $table->unsignedInteger('place');
            $table->string('title', 120);
            $table->text('does');
            $table->string('lasts', 240)->default('');
            $table->string('prepare', 240)->default('');
            $table->string('risk', 500)->default('');
            $table->text('lines')->nullable();
            $table->timestamps();
            $table->index(['visit_id', 'place']);
        });
        Schema::create('owner_decisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('choice_id')->constrained('owner_choices')->cascadeOnDelete();
            $table->string('word', 8);
            $table->string('who', 120);
            // Who of the workshop noted it; null: the owner did, by the link.
            $table->foreignUlid('user_id')->nullable()->constrained();
            $table->timestamp('decided_at');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('owner_decisions');
        Schema::dropIfExists('owner_choices');
        Schema::dropIfExists('workshop');
    }
};
