<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Photos and spoken notes of a visit; their bytes lie on a disk of the framework's. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('attachments', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('visit_id')->constrained('occasions')->cascadeOnDelete();
            $table->foreignUlid('user_id')->constrained();
            $table->string('kind', 8);
            // What it is of: the kind and key of a fact and its part, and how a person calls that.
            $table->string('about', 200);
            $table->string('of', 200);
            $table->string('caption', 240)->default('');
            $table->timestamp('taken_at');
            // As it is sent: how long it is, its hash, and how much of it has come.
            $table->unsignedInteger('bytes');
            $table->string('sent_hash', 64);
            $table->unsignedInteger('received')->default(0);
            // As it is kept, once all of it came and was found to be what it says.
            $table->string('mime', 40)->default('');
            $table->string('hash', 64)->default('');
            $table->unsignedInteger('width')->default(0);
            $table->unsignedInteger('height')->default(0);
            $table->json('marks')->nullable();
            $table->ulid('after')->nullable();
            $table->timestamp('ready_at')->nullable();
            $table->timestamp('removed_at')->nullable();
            $table->foreignUlid('removed_by')->nullable()->constrained('users');
            $table->string('removed_why', 240)->default('');
            $table->timestamps();
            $table->index(['visit_id', 'ready_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('attachments');
    }
};
