<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('name');
            $table->string('email')->unique();
            $table->string('password');
            $table->string('role', 16)->default('technician');
            $table->json('settings')->nullable();
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('house_rules', function (Blueprint $table): void {
            $table->string('rule', 40)->primary();
            $table->json('choice');
            $table->foreignUlid('user_id')->constrained();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('house_rules');
        Schema::dropIfExists('users');
    }
};
