<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Schools and the people who sign in; looked up before a school is known, so without a row policy. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('schools', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->string('name', 120);
            $table->string('timezone', 60);
            $table->boolean('is_demo')->default(false);
            $table->timestampsTz();
        });
        Schema::create('users', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('school_id')->constrained()->cascadeOnDelete();
            $table->string('name', 120);
            $table->string('email', 254)->unique();
            $table->string('password');
            $table->string('role', 20);
            $table->rememberToken();
            $table->timestampsTz();
            $table->unique(['school_id', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('users');
        Schema::dropIfExists('schools');
    }
};
