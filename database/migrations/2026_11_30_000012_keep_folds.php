<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a closed visit came to stays folded: years of a circuit cost what its last few visits cost. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('folds', function (Blueprint $table): void {
            $table->foreignUlid('visit_id')->primary()->constrained()->cascadeOnDelete();
            // Of what it was folded: the code and weights, what the visit rests on, and its last fact.
            $table->string('edition', 32);
            $table->string('rests_on', 32);
            $table->unsignedBigInteger('last_fact');
            $table->text('fold');
        });
        Schema::table('facts', function (Blueprint $table): void {
            $table->index(['circuit_id', 'kind', 'key']);
            $table->index(['visit_id', 'kind']);
        });
    }

    public function down(): void
    {
        Schema::table('facts', function (Blueprint $table): void {
            $table->dropIndex(['circuit_id', 'kind', 'key']);
            $table->dropIndex(['visit_id', 'kind']);
        });
        Schema::dropIfExists('folds');
    }
};
