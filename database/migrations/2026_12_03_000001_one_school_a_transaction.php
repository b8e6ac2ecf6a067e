<?php

declare(strict_types=1);

use Database\Migrating\ReplacedLogs;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Schema;

/**
 * A row policy names its school as the indexes do, so that it finds rows by them, and is an error where no school was
 * entered. Work in the background is leased by rows. A log that was replaced stays replaced.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('leases', static function (Blueprint $table): void {
            $table->foreignUuid('school_id')->constrained()->cascadeOnDelete();
            $table->string('id', 80)->comment('what is worked on');
            $table->bigInteger('number')->comment('of the holder: greater than of any before');
            $table->smallInteger('begun')->comment('how often the same was begun without coming to an end');
            $table->timestampTz('until', 6);
            $table->primary(['school_id', 'id']);
        });
        DB::statement('create sequence lease_numbers owned by leases.number'); // and gone with it
        // One row, written every minute to see whether anything can be.
        Schema::create('trial_writes', static function (Blueprint $table): void {
            $table->smallInteger('id')->primary();
            $table->timestampTz('at');
        });
        // When somebody last came, and how often since a day, is asked of everyone at once: no index of a list answers that.
        Schema::create('log_students', static function (Blueprint $table): void {
            $table->foreignUuid('school_id')->constrained()->cascadeOnDelete();
            $table->uuid('student_id');
            $table->date('on');
            $table->char('log_id', 26);
            $table->primary(['school_id', 'student_id', 'on', 'log_id']);
            $table->foreign(['school_id', 'student_id'])->references(['school_id', 'id'])->on('students')->cascadeOnDelete();
        });
        DB::statement("comment on table log_students is 'who was there, a row a class and student, read out of the logs for queries'");
        DB::statement('create index marks_latest on marks (school_id, student_id, (coalesce("on", (received_at at time zone \'UTC\')::date)) desc)');
        foreach (['leases', 'log_students'] as $table) {
            DB::statement("alter table $table enable row level security");
            DB::statement("alter table $table force row level security");
            DB::statement("create policy own_school on $table using (true)"); // put right with all others below
        }
        foreach (DB::select("select tablename from pg_policies where schemaname = current_schema() and policyname = 'own_school'") as $policy) {
            $school = $policy->tablename === 'schools' ? 'id' : 'school_id';
            $own = "$school = current_setting('gorvan.school')::uuid";
            DB::statement("drop policy own_school on $policy->tablename");
            DB::statement("create policy own_school on $policy->tablename using ($own) with check ($own)");
        }
        $this->logs();
    }

    private function logs(): void
    {
        DB::statement('alter table withdrawals disable trigger append_only');
        $found = [];
        foreach (DB::table('schools')->orderBy('id')->pluck('id') as $school) {
            DB::statement("select set_config('gorvan.school', ?, true)", [$school]);
            DB::statement('insert into log_students (school_id, student_id, "on", log_id) select distinct l.school_id, s, l.on, l.id from class_logs l cross join lateral unnest(l.students) s where l.school_id = ? and l.meeting_id is not null', [$school]);
            $one = (new ReplacedLogs($school))->run();
            if ($one !== null) {
                $found[$school] = $one;
            }
        }
        DB::statement("select set_config('gorvan.school', '', true)");
        DB::statement('alter table withdrawals enable trigger append_only');
        if ($found !== []) {
            Log::warning('Logs that had been replaced and stood again, or whose withdrawal had their id, were put right.', ['schools' => $found]);
        }
    }
};
