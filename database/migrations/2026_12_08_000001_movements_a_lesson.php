<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Lessons of no group can be asked for in movements; a course keeps the same as its pace. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('forms', static function (Blueprint $table): void {
            $table->double('lesson_movements')->nullable()->comment('movements in a lesson, where lessons are asked for so');
        });
    }

    public function down(): void
    {
        Schema::table('forms', static function (Blueprint $table): void {
            $table->dropColumn('lesson_movements');
        });
    }
};
