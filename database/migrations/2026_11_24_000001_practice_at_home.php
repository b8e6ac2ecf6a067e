<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What students note of practising at home. It is dated before the migrations that lay plans anew, since those read every
 * record, and this is a part of it from now on; where they have run already it runs all the same.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('home_practices', static function (Blueprint $table): void {
            $table->foreignUuid('school_id')->constrained()->cascadeOnDelete();
            $table->uuid('id')->comment('made by the phone: the same one sent twice is one');
            $table->uuid('student_id');
            $table->date('on')->comment('the day it counts for');
            $table->timestampTz('at', 6)->comment('when it was noted, by the device');
            $table->timestampTz('received_at', 6)->useCurrent();
            $table->smallInteger('minutes')->nullable();
            $table->boolean('from_memory')->nullable()->comment('false with the sheet, null not said');
            $table->integer('clock_ahead')->nullable();
            $table->timestampTz('withdrawn_at', 6)->nullable()->comment('taken back by the student');
            $table->primary(['school_id', 'id']);
            $table->foreign(['school_id', 'student_id'])->references(['school_id', 'id'])->on('students')->cascadeOnDelete();
            $table->index(['school_id', 'student_id', 'on']);
        });
        DB::statement("alter table home_practices add column entries uuid[] not null default '{}'");
        DB::statement("comment on column home_practices.entries is 'rows of the entries that were practised'");
        DB::statement('alter table home_practices enable row level security');
        DB::statement('alter table home_practices force row level security');
        DB::statement("create policy own_school on home_practices using (school_id::text = current_setting('gorvan.school', true)) with check (school_id::text = current_setting('gorvan.school', true))");
    }
};
