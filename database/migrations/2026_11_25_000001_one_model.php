<?php

declare(strict_types=1);

use Database\Migrating\PlansIntoDocuments;
use Database\Migrating\PracticesIntoLogs;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What happened is one log a class, what is planned is a document of its own, and a term holds courses. Rows a class and
 * student and entry (`practices`) become logs; standings are replayed from them, helped by checkpoints.
 */
return new class extends Migration
{
    private const NEW_TABLES = ['class_logs', 'withdrawn', 'courses', 'checkpoints', 'checkpoint_tracks'];

    public function up(): void
    {
        $this->tables();
        $this->columns();
        foreach (self::NEW_TABLES as $table) {
            DB::statement("alter table $table enable row level security");
            DB::statement("alter table $table force row level security");
            DB::statement("create policy own_school on $table using (school_id::text = current_setting('gorvan.school', true)) with check (school_id::text = current_setting('gorvan.school', true))");
        }
        DB::statement('alter table marks disable trigger append_only');
        DB::statement('alter table withdrawals disable trigger append_only');
        foreach (DB::table('schools')->get() as $school) {
            // Row policies hide every row from a connection that is in no school.
            DB::statement("select set_config('gorvan.school', ?, false)", [$school->id]);
            (new PlansIntoDocuments($school))->run();
            (new PracticesIntoLogs($school))->run();
        }
        DB::statement("select set_config('gorvan.school', '', false)");
        DB::statement('alter table marks enable trigger append_only');
        DB::statement('alter table withdrawals enable trigger append_only');
        DB::statement('create trigger append_only before update or delete on class_logs for each row execute function refuse_change()');
        $this->dropped();
    }

    private function tables(): void
    {
        $this->table('class_logs', static function (Blueprint $table): void {
            $table->char('id', 26)->comment('made on the device');
            $table->uuid('group_id');
            $table->uuid('meeting_id')->nullable()->comment('null for what was taught before there was one');
            $table->date('on')->comment('the day its facts count for');
            $table->json('body')->comment('gorvan.log/1, as it was sent');
            $table->timestampTz('made_at', 6);
            $table->uuid('made_by');
            $table->timestampTz('received_at', 6)->useCurrent();
            $table->integer('clock_ahead')->nullable()->comment('seconds the device was ahead of here, when it was');
        });
        DB::statement('alter table class_logs add column students uuid[] not null');
        DB::statement('alter table class_logs add column taught text[] not null');
        DB::statement('create index class_logs_students on class_logs using gin (students)');
        DB::statement("comment on column class_logs.students is 'who was there, read out of the log for queries'");
        DB::statement("comment on column class_logs.taught is 'form/entry of what was taught, read out of the log for queries'");
        Schema::table('class_logs', static function (Blueprint $table): void {
            $table->primary(['school_id', 'id']);
            $table->foreign(['school_id', 'group_id'])->references(['school_id', 'id'])->on('groups');
            $table->foreign(['school_id', 'meeting_id'])->references(['school_id', 'id'])->on('meetings');
            $table->foreign(['school_id', 'made_by'])->references(['school_id', 'id'])->on('users');
            $table->index(['school_id', 'meeting_id']);
            $table->index(['school_id', 'group_id', 'on']);
            $table->index(['school_id', 'on']);
        });
        // Which marks, logs and withdrawals do not stand: worked out from the withdrawals, and kept so that a query can ask.
        $this->table('withdrawn', static function (Blueprint $table): void {
            $table->char('id', 26);
            $table->primary(['school_id', 'id']);
        });
        $this->table('courses', static function (Blueprint $table): void {
            $table->uuid('id');
            $table->uuid('term_id');
            $table->uuid('form_id');
            $table->integer('ordinal');
            $table->string('first_entry', 120)->nullable()->comment('of its target, by the id in the form file; null for the whole form');
            $table->string('last_entry', 120)->nullable();
            $table->string('approach', 20);
            $table->double('share')->comment('of the minutes that the courses of the term have together');
            $table->double('lesson_load')->nullable()->comment('where the teacher says it');
            $table->integer('lesson_count')->nullable()->comment('where the teacher says that');
            $table->json('pins')->comment('by entry, instead of the form’s own');
            $table->json('cut')->nullable()->comment('the lessons, each as its entries');
            $table->json('showing')->nullable();
            $table->primary(['school_id', 'id']);
            $table->foreign(['school_id', 'term_id'])->references(['school_id', 'id'])->on('terms')->cascadeOnDelete();
            $table->foreign(['school_id', 'form_id'])->references(['school_id', 'id'])->on('forms');
            $table->unique(['term_id', 'ordinal']);
            $table->index(['school_id', 'form_id']);
        });
        $this->table('checkpoints', static function (Blueprint $table): void {
            $table->uuid('student_id');
            $table->integer('through')->comment('facts of days up to this one are in its tracks; days since 1970-01-01');
            $table->integer('epoch')->comment('of the student’s record when it was made');
            $table->primary(['school_id', 'student_id']);
            $table->foreign(['school_id', 'student_id'])->references(['school_id', 'id'])->on('students')->cascadeOnDelete();
        });
        $this->table('checkpoint_tracks', static function (Blueprint $table): void {
            $table->uuid('student_id');
            $table->string('subject', 80);
            $table->string('side', 5)->comment('empty where nothing named a side');
            $table->smallInteger('level')->nullable();
            $table->double('stability')->nullable();
            $table->double('difficulty')->nullable();
            $table->integer('last')->nullable();
            $table->integer('updates');
            $table->boolean('has_home')->comment('whether the columns of the class speak');
            $table->double('class_stability')->nullable();
            $table->double('class_difficulty')->nullable();
            $table->integer('class_last')->nullable();
            $table->integer('class_updates')->nullable();
            $table->primary(['school_id', 'student_id', 'subject', 'side']);
            $table->foreign(['school_id', 'student_id'])->references(['school_id', 'id'])->on('students')->cascadeOnDelete();
        });
        Schema::create('jobs', static function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('failed_jobs', static function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
    }

    private function columns(): void
    {
        Schema::table('students', static fn (Blueprint $table) => $table->integer('record_epoch')->default(0)->comment('grows when a checkpoint no longer holds'));
        Schema::table('group_members', static function (Blueprint $table): void {
            $table->date('left_on')->nullable();
            $table->dropUnique(['group_id', 'student_id']);
            $table->index(['school_id', 'student_id']);
        });
        DB::statement('create unique index group_members_now on group_members (group_id, student_id) where left_on is null');
        Schema::table('marks', static function (Blueprint $table): void {
            $table->date('on')->nullable()->comment('of its class, when it was made in one');
            $table->integer('clock_ahead')->nullable()->comment('seconds the device was ahead of here, when it was');
            $table->dropIndex(['student_id', 'entry_id']);
            $table->index(['school_id', 'student_id', 'on']);
            $table->index(['school_id', 'meeting_id']);
            $table->index(['school_id', 'entry_id']);
        });
        Schema::table('withdrawals', static function (Blueprint $table): void {
            $table->string('kind', 10)->nullable()->comment('of what is withdrawn');
            $table->integer('clock_ahead')->nullable();
            $table->dropIndex(['of']);
            $table->index(['school_id', 'of']);
        });
        Schema::table('terms', static function (Blueprint $table): void {
            $table->integer('plan_asked')->default(0)->comment('how often something changed that the plan rests on');
            $table->integer('plan_answered')->default(0)->comment('how many of those changes the plan knows');
            $table->timestampTz('planned_at', 6)->nullable();
            $table->index(['school_id', 'group_id']);
        });
        Schema::table('meetings', static fn (Blueprint $table) => $table->index(['school_id', 'on']));
        Schema::table('attendances', static fn (Blueprint $table) => $table->index(['school_id', 'student_id']));
        Schema::table('entries', static fn (Blueprint $table) => $table->boolean('sided')->default(false)->comment('whether it is done on both sides; core says so'));
        Schema::table('forms', static function (Blueprint $table): void {
            $table->integer('lessons')->default(0)->comment('of its own cut, for lists');
            $table->double('load')->default(0);
        });
    }

    private function dropped(): void
    {
        DB::statement('alter table forms rename column score to document');
        DB::statement('alter table entries rename column score to document');
        Schema::drop('practices');
        Schema::drop('lessons');
        Schema::table('meetings', static fn (Blueprint $table) => $table->dropColumn(['kind', 'boxes', 'log_id']));
        Schema::table('terms', static fn (Blueprint $table) => $table->dropColumn(['form_id', 'approach']));
        Schema::table('withdrawals', static fn (Blueprint $table) => $table->string('kind', 10)->nullable(false)->change());
    }

    private function table(string $name, Closure $columns): void
    {
        Schema::create($name, static function (Blueprint $table) use ($columns): void {
            $table->foreignUuid('school_id')->constrained()->cascadeOnDelete();
            $columns($table);
        });
    }
};
