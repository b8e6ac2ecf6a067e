<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What a teacher plans around (one encrypted document a consideration), the school's warm-ups, what each student's marks said
 * of the forecasts, and students who pause, are off the list, or were two people on record.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('considerations', static function (Blueprint $table): void {
            $table->foreignUuid('school_id')->constrained()->cascadeOnDelete();
            $table->uuid('id')->comment('made by the page: the same one sent twice is one');
            $table->uuid('student_id');
            $table->text('document')->comment('what, side, since, until and note, encrypted with the key of the application');
            $table->timestampsTz(6);
            $table->primary(['school_id', 'id']);
            $table->foreign(['school_id', 'student_id'])->references(['school_id', 'id'])->on('students')->cascadeOnDelete();
            $table->index(['school_id', 'student_id']);
        });
        DB::statement('alter table considerations enable row level security');
        DB::statement('alter table considerations force row level security');
        DB::statement("create policy own_school on considerations using (school_id::text = current_setting('gorvan.school', true)) with check (school_id::text = current_setting('gorvan.school', true))");
        Schema::table('schools', static function (Blueprint $table): void {
            $table->json('warm_ups')->nullable()->comment('gorvan.warm_ups/1; null for those that come with the application');
            $table->integer('warm_ups_version')->default(0);
            $table->double('recall_factor')->nullable()->comment('k, by which recall is read; null where none was adopted');
            $table->integer('forecasts_version')->default(0)->comment('grows when what marks say of the forecasts changed');
            $table->json('reliability')->nullable()->comment('whether the forecasts were true, as it was last worked out');
            $table->char('reliability_of', 32)->nullable()->comment('of what it was worked out');
            $table->timestampTz('reliability_asked_at')->nullable()->comment('since when it is being worked out anew');
        });
        Schema::table('groups', static fn (Blueprint $table) => $table->boolean('is_room_cold')->default(false)->comment('two general warm-ups come first'));
        Schema::table('group_members', static fn (Blueprint $table) => $table->boolean('is_paused')->default(false)->comment('left for a while, and comes back to this group'));
        Schema::table('students', static function (Blueprint $table): void {
            $table->json('forecasts')->nullable()->comment('what their marks said of the forecasts, each as what was seen and ages in stabilities');
            $table->timestampTz('off_list_at', 6)->nullable()->comment('not named among everyone any more; the record stays');
            $table->uuid('same_as')->nullable()->comment('who they are on record too');
            $table->json('joined')->nullable()->comment('what making them one changed in the groups, to take it apart again');
            $table->foreign(['school_id', 'same_as'])->references(['school_id', 'id'])->on('students');
            $table->index(['school_id', 'same_as']);
        });
        DB::statement("alter table students add column also uuid[] not null default '{}'");
        DB::statement("comment on column students.also is 'who else on record is this student'");
    }
};
