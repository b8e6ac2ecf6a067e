<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

/**
 * Steps of partner drills as a third subject of marks; where mail for a student goes and how large they are beside others;
 * what the local stand-in for mail was given; letters at the end of a term, and the words a school writes them in.
 */
return new class extends Migration
{
    public function up(): void
    {
        $this->rows('drill_steps', static function (Blueprint $table): void {
            $table->uuid('lesson_id')->comment('there or gone: the record still names the step');
            $table->string('key', 300)->comment('its id in the drill');
            $table->text('title');
            $table->unique(['school_id', 'lesson_id', 'key']);
        });
        Schema::table('marks', static function (Blueprint $table): void {
            $table->uuid('drill_step_id')->nullable()->comment('of a mark of a step of a partner drill');
            $table->foreign(['school_id', 'drill_step_id'])->references(['school_id', 'id'])->on('drill_steps');
            $table->index(['school_id', 'drill_step_id']);
        });
        DB::statement('alter table marks drop constraint marks_about_something');
        DB::statement('alter table marks add constraint marks_about_something check (case when drill_step_id is null then entry_id is not null or principle_id is not null else entry_id is null and principle_id is null end)');
        $this->stepsOfWritten();

        Schema::table('students', static function (Blueprint $table): void {
            $table->string('email', 254)->nullable();
            $table->string('size', 10)->nullable()->comment('beside the others, for pairs; null where nobody has said');
        });
        $this->rows('mails', static function (Blueprint $table): void {
            $table->uuid('student_id')->nullable();
            $table->string('address', 254);
            $table->text('subject')->comment('encrypted with the key of the application, as the body is');
            $table->text('body');
            $table->timestampTz('sent_at', 6);
            $table->foreign(['school_id', 'student_id'])->references(['school_id', 'id'])->on('students')->cascadeOnDelete();
            $table->index(['school_id', 'sent_at']);
            $table->index(['school_id', 'student_id']);
        });
        Schema::table('schools', static function (Blueprint $table): void {
            $table->json('letter_words')->nullable()->comment('the school’s own sentences for letters; null for the usual ones');
        });
        $this->rows('letters', static function (Blueprint $table): void {
            $table->uuid('term_id');
            $table->uuid('student_id')->nullable()->comment('null for the page of the group');
            $table->text('text');
            $table->integer('version')->default(1)->comment('grows with every change');
            $table->timestampTz('sent_at', 6)->nullable()->comment('when this version went by mail');
            $table->timestampsTz(6);
            $table->foreign(['school_id', 'term_id'])->references(['school_id', 'id'])->on('terms')->cascadeOnDelete();
            $table->foreign(['school_id', 'student_id'])->references(['school_id', 'id'])->on('students')->cascadeOnDelete();
            $table->index(['school_id', 'student_id']);
        });
        // One a student and term, and one for the group.
        DB::statement('create unique index letters_once on letters (school_id, term_id, student_id) nulls not distinct');
    }

    /** Lessons that were written before their steps could be marked. */
    private function stepsOfWritten(): void
    {
        foreach (DB::table('schools')->pluck('id') as $school) {
            DB::statement("select set_config('gorvan.school', ?, false)", [$school]);
            foreach (DB::table('lessons')->get(['id', 'document']) as $lesson) {
                foreach (json_decode($lesson->document)->partner->steps ?? [] as $step) {
                    DB::table('drill_steps')->insert(['school_id' => $school, 'id' => (string) Str::uuid(), 'lesson_id' => $lesson->id, 'key' => $step->id, 'title' => $step->title]);
                }
            }
        }
        DB::statement("select set_config('gorvan.school', '', false)");
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
