<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What a teacher changes in a term, what its plan should come to, and what is computed in the background. */
return new class extends Migration
{
    private const NEW_TABLES = ['plan_changes', 'plan_questions'];

    public function up(): void
    {
        Schema::table('meetings', static function (Blueprint $table): void {
            $table->string('state', 10)->default('laid')->comment('laid, added or cancelled');
            $table->string('reason', 200)->nullable()->comment('why it was moved, cancelled, added or is of another length');
            $table->string('room', 120)->nullable()->comment('where it is not the usual one');
            $table->json('pins')->nullable()->comment('what the teacher fixed of it');
            $table->integer('sequence')->default(0)->comment('how often calendars were told something new of it');
            $table->dropUnique(['term_id', 'starts_at']);
            $table->index(['school_id', 'term_id']);
        });
        DB::statement("create unique index meetings_at on meetings (term_id, starts_at) where state <> 'cancelled'");
        Schema::table('terms', static function (Blueprint $table): void {
            $table->json('forecast')->nullable()->comment('what its courses should come to');
            $table->string('room', 120)->nullable();
            $table->json('plan_cause')->nullable()->comment('because of what it is being planned again');
        });
        Schema::table('courses', static fn (Blueprint $table) => $table->integer('rhythm')->nullable()->comment('lessons in a row, at most; 0 for any number, null for the approach’s own'));
        Schema::table('students', static fn (Blueprint $table) => $table->double('trust')->nullable()->comment('what was observed of them over what was predicted; null where nothing was tested'));
        Schema::table('groups', static fn (Blueprint $table) => $table->char('feed', 64)->nullable()->unique()->comment('hash of the secret in its calendar’s address'));
        Schema::create('plan_changes', static function (Blueprint $table): void {
            $table->foreignUuid('school_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->uuid('term_id');
            $table->uuid('made_by')->nullable()->comment('null where nobody did: a class was not said, a day passed');
            $table->timestampTz('at', 6)->useCurrent();
            $table->integer('plan')->comment('of the term, as often as it had been asked for by then');
            $table->json('touched')->comment('the meetings that were changed by hand');
            $table->json('cause')->comment('because of what');
            $table->json('difference')->comment('what it moved, in codes');
            $table->json('before')->nullable()->comment('the term before, where it can be taken back');
            $table->json('after')->nullable();
            $table->boolean('is_taken_back')->default(false);
            $table->primary(['school_id', 'id']);
            $table->foreign(['school_id', 'term_id'])->references(['school_id', 'id'])->on('terms')->cascadeOnDelete();
            $table->index(['school_id', 'term_id', 'at']);
        });
        Schema::create('plan_questions', static function (Blueprint $table): void {
            $table->foreignUuid('school_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->uuid('term_id');
            $table->string('kind', 20);
            $table->json('question');
            $table->integer('plan')->comment('of the term, as often as it had been asked for');
            $table->string('state', 10)->default('waiting')->comment('waiting, running, done, failed');
            $table->integer('progress')->default(0)->comment('hundredths');
            $table->json('answer')->nullable();
            $table->uuid('made_by');
            $table->timestampsTz(6);
            $table->primary(['school_id', 'id']);
            $table->foreign(['school_id', 'term_id'])->references(['school_id', 'id'])->on('terms')->cascadeOnDelete();
            $table->index(['school_id', 'term_id', 'kind']);
        });
        foreach (self::NEW_TABLES as $table) {
            DB::statement("alter table $table enable row level security");
            DB::statement("alter table $table force row level security");
            DB::statement("create policy own_school on $table using (school_id::text = current_setting('gorvan.school', true)) with check (school_id::text = current_setting('gorvan.school', true))");
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('plan_questions');
        Schema::dropIfExists('plan_changes');
        Schema::table('groups', static fn (Blueprint $table) => $table->dropColumn('feed'));
        Schema::table('students', static fn (Blueprint $table) => $table->dropColumn('trust'));
        Schema::table('courses', static fn (Blueprint $table) => $table->dropColumn('rhythm'));
        Schema::table('terms', static fn (Blueprint $table) => $table->dropColumn(['forecast', 'room', 'plan_cause']));
        DB::statement('drop index if exists meetings_at');
        Schema::table('meetings', static function (Blueprint $table): void {
            $table->dropIndex(['school_id', 'term_id']);
            $table->dropColumn(['state', 'reason', 'room', 'pins', 'sequence']);
            $table->unique(['term_id', 'starts_at']);
        });
    }
};
