<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Everything that belongs to a school. References carry the school with them, so that no row can point into another
 * school, and a row policy on each table shows a connection only the rows of the school it has entered.
 */
return new class extends Migration
{
    private const TABLES = ['forms', 'sections', 'entries', 'lessons', 'groups', 'students', 'group_members', 'terms',
        'meetings', 'attendances', 'marks', 'practices', 'withdrawals'];

    private const APPEND_ONLY = ['marks', 'practices', 'withdrawals'];

    public function up(): void
    {
        $this->forms();
        $this->people();
        $this->terms();
        $this->facts();
        foreach (self::TABLES as $table) {
            DB::statement("alter table $table enable row level security");
            DB::statement("alter table $table force row level security");
            DB::statement("create policy own_school on $table using (school_id::text = current_setting('gorvan.school', true)) with check (school_id::text = current_setting('gorvan.school', true))");
        }
        DB::unprepared(<<<'SQL'
            create or replace function refuse_change() returns trigger language plpgsql as $$
            begin
                raise exception 'facts are never edited: append a withdrawal to %', tg_table_name;
            end $$;
            SQL);
        foreach (self::APPEND_ONLY as $table) {
            DB::statement("create trigger append_only before update or delete on $table for each row execute function refuse_change()");
        }
    }

    public function down(): void
    {
        foreach (array_reverse(self::TABLES) as $table) {
            Schema::dropIfExists($table);
        }
        DB::statement('drop function if exists refuse_change()');
    }

    private function forms(): void
    {
        $this->table('forms', function (Blueprint $table): void {
            $table->string('title', 300);
            $table->string('family', 300)->nullable();
            $table->integer('announced')->nullable();
            $table->float('breath_seconds')->nullable();
            $table->string('footfall', 10)->nullable();
            $table->json('others')->comment('keys of the form file this version does not know');
            $table->float('target')->nullable()->comment('load of a lesson, when the teacher set one');
            $table->integer('lesson_count')->nullable()->comment('how many lessons, when the teacher set that');
            $table->timestampsTz();
        });
        $this->table('sections', function (Blueprint $table): void {
            $this->reference($table, 'form_id', 'forms');
            $table->string('title', 300);
            $table->integer('first');
            $table->integer('last');
            $table->json('others')->comment('keys of the form file this version does not know');
        });
        $this->table('entries', function (Blueprint $table): void {
            $this->reference($table, 'form_id', 'forms');
            $table->integer('position');
            $table->string('key', 120)->comment('the id in the form file');
            $table->json('score')->comment('the entry as it stands in the form file');
            $table->unique(['form_id', 'position']);
            $table->unique(['form_id', 'key']);
        });
        $this->table('lessons', function (Blueprint $table): void {
            $this->reference($table, 'form_id', 'forms');
            $table->integer('ordinal');
            $table->integer('first');
            $table->integer('last');
            $table->double('load');
            $table->unique(['form_id', 'ordinal']);
        });
    }

    private function people(): void
    {
        $this->table('groups', function (Blueprint $table): void {
            $table->string('name', 120);
            $table->string('room', 120)->nullable();
            $this->reference($table, 'form_id', 'forms', false);
            $table->timestampsTz();
        });
        $this->table('students', function (Blueprint $table): void {
            $table->string('name', 120);
            $table->timestampsTz();
        });
        $this->table('group_members', function (Blueprint $table): void {
            $this->reference($table, 'group_id', 'groups');
            $this->reference($table, 'student_id', 'students');
            $table->date('joined_on');
            $table->unique(['group_id', 'student_id']);
        });
    }

    private function terms(): void
    {
        $this->table('terms', function (Blueprint $table): void {
            $this->reference($table, 'group_id', 'groups');
            $this->reference($table, 'form_id', 'forms', false);
            $table->string('title', 120);
            $table->date('starts_on');
            $table->date('ends_on');
            $table->jsonb('pattern');
            $table->jsonb('closures');
            $table->string('approach', 20);
            $table->jsonb('warnings');
            $table->timestampsTz();
        });
        $this->table('meetings', function (Blueprint $table): void {
            $this->reference($table, 'term_id', 'terms');
            $table->date('on');
            $table->timestampTz('starts_at');
            $table->integer('minutes');
            $table->string('kind', 20)->nullable();
            $table->json('boxes')->nullable();
            $table->json('plan')->nullable()->comment('passages by entry id, so that a change of the form does not shift them');
            $table->char('log_id', 26)->nullable()->comment('the log that says it was held as planned');
            $table->timestampsTz();
            $table->unique(['term_id', 'starts_at']);
        });
        $this->table('attendances', function (Blueprint $table): void {
            $this->reference($table, 'meeting_id', 'meetings');
            $this->reference($table, 'student_id', 'students');
            $table->boolean('is_present');
            $this->reference($table, 'made_by', 'users', false);
            $table->timestampsTz();
            $table->unique(['meeting_id', 'student_id']);
        });
    }

    private function facts(): void
    {
        $this->table('marks', function (Blueprint $table): void {
            $this->reference($table, 'student_id', 'students', false);
            $this->reference($table, 'entry_id', 'entries', false);
            $this->reference($table, 'meeting_id', 'meetings', false, true);
            $table->string('side', 5)->nullable();
            $table->smallInteger('support');
            $this->fact($table);
            $table->index(['student_id', 'entry_id']);
        }, 'ulid');
        $this->table('practices', function (Blueprint $table): void {
            $table->char('log_id', 26)->comment('made by the client, one for each log of a class');
            $this->reference($table, 'student_id', 'students', false);
            $this->reference($table, 'entry_id', 'entries', false);
            $this->reference($table, 'meeting_id', 'meetings', false, true);
            $table->string('kind', 10);
            $this->fact($table);
            $table->unique(['school_id', 'log_id', 'student_id', 'entry_id']);
            $table->index('student_id');
        });
        $this->table('withdrawals', function (Blueprint $table): void {
            $table->char('of', 26)->comment('a mark, a log, or a withdrawal');
            $this->fact($table);
            $table->index('of');
        }, 'ulid');
    }

    /** A table of a school's rows, whose ids are unique inside the school. */
    private function table(string $name, Closure $columns, string $id = 'uuid'): void
    {
        Schema::create($name, function (Blueprint $table) use ($columns, $id): void {
            $id === 'uuid' ? $table->uuid('id') : $table->char('id', 26);
            $table->foreignUuid('school_id')->constrained()->cascadeOnDelete();
            $columns($table);
            $table->primary(['school_id', 'id']);
        });
    }

    private function reference(Blueprint $table, string $column, string $to, bool $goesWithIt = true, bool $isOptional = false): void
    {
        $own = $table->uuid($column);
        if ($isOptional) {
            $own->nullable();
        }
        $foreign = $table->foreign(['school_id', $column])->references(['school_id', 'id'])->on($to);
        if ($goesWithIt) {
            $foreign->cascadeOnDelete();
        }
    }

    /** When it was seen, who said so, and when it arrived. */
    private function fact(Blueprint $table): void
    {
        $table->timestampTz('at', 6);
        $this->reference($table, 'made_by', 'users', false);
        $table->timestampTz('received_at')->useCurrent();
    }
};
