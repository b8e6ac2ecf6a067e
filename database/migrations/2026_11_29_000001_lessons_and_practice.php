<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * How large lessons should be as a teacher says it, what a teacher adds to lessons, the personal links of students, and what
 * comes back from home: practice and questions.
 */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['forms', 'courses'] as $table) {
            Schema::table($table, static function (Blueprint $table): void {
                $table->double('lesson_minutes')->nullable()->comment('of new work in a lesson, where the teacher says that');
                $table->double('load_minutes')->nullable()->comment('that a unit of load takes, where the teacher says it for the cut');
                $table->double('lambda')->nullable()->comment('what a poor place to stop weighs; null for the usual');
            });
        }
        Schema::table('groups', static function (Blueprint $table): void {
            $table->double('practice_minutes')->nullable()->comment('a day at home; null for the usual');
            $table->integer('practice_days')->nullable()->comment('between two meetings; null for the usual');
        });
        $this->rows('lessons', static function (Blueprint $table): void {
            $table->uuid('form_id');
            $table->uuid('course_id')->nullable()->comment('null for no group');
            $table->uuid('used_from')->nullable()->comment('the lesson it was made from, there or gone');
            $table->json('document')->comment('a lesson of gorvan.lessons/1');
            $table->integer('version')->default(1)->comment('grows with every change');
            $table->integer('form_version')->comment('of the form it was last looked over with');
            $table->timestampsTz(6);
            $table->foreign(['school_id', 'form_id'])->references(['school_id', 'id'])->on('forms')->cascadeOnDelete();
            $table->index(['school_id', 'form_id']);
            $table->index(['school_id', 'course_id']);
        });
        // What was written stays when a course goes: it is the form's then, and can be used for another.
        DB::statement('alter table lessons add constraint lessons_course_foreign foreign key (school_id, course_id) references courses (school_id, id) on delete set null (course_id)');
        $this->rows('student_links', static function (Blueprint $table): void {
            $table->uuid('student_id');
            $table->char('token', 64)->comment('SHA-256 of the token; the token itself is nowhere');
            $table->timestampTz('made_at', 6)->useCurrent();
            $table->timestampTz('expires_at', 6);
            $table->timestampTz('revoked_at', 6)->nullable();
            $table->foreign(['school_id', 'student_id'])->references(['school_id', 'id'])->on('students')->cascadeOnDelete();
            $table->index(['school_id', 'student_id']);
            $table->unique(['school_id', 'token']);
        });
        $this->rows('link_devices', static function (Blueprint $table): void {
            $table->uuid('link_id');
            $table->char('key', 64)->comment('SHA-256 of what the device carries in its cookie');
            $table->timestampTz('first_at', 6);
            $table->timestampTz('last_at', 6);
            $table->foreign(['school_id', 'link_id'])->references(['school_id', 'id'])->on('student_links')->cascadeOnDelete();
            $table->index(['school_id', 'link_id']);
            $table->unique(['school_id', 'key']);
        });
        $this->rows('student_questions', static function (Blueprint $table): void {
            $table->uuid('student_id');
            $table->text('text');
            $table->timestampTz('at', 6)->comment('when it was asked, by the device');
            $table->timestampTz('received_at', 6)->useCurrent();
            $table->text('answer')->nullable();
            $table->timestampTz('answered_at', 6)->nullable();
            $table->foreign(['school_id', 'student_id'])->references(['school_id', 'id'])->on('students')->cascadeOnDelete();
            $table->index(['school_id', 'student_id']);
        });
    }

    /**
     * A table of rows of one school, which no other school sees.
     *
     * @param  Closure(Blueprint): void  $columns
     */
    private function rows(string $name, Closure $columns): void
    {
        Schema::create($name, static function (Blueprint $table) use ($columns): void {
            $table->foreignUuid('school_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $columns($table);
            $table->primary(['school_id', 'id']);
        });
        DB::statement("alter table $name enable row level security");
        DB::statement("alter table $name force row level security");
        DB::statement("create policy own_school on $name using (school_id::text = current_setting('gorvan.school', true)) with check (school_id::text = current_setting('gorvan.school', true))");
    }
};
