<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Ramsey\Uuid\Uuid;

/**
 * What somebody's marks said of the forecasts is tens of kilobytes after some years, and only one page asks for it: it stands
 * beside the students, so that no list of names reads it.
 */
return new class extends Migration
{
    public function up(): void
    {
        // A reference is looked through as a query is, and a query is an error outside a school: here it is in none that there is.
        DB::statement("select set_config('gorvan.school', ?, true)", [Uuid::NIL]);
        Schema::create('forecast_tests', static function (Blueprint $table): void {
            $table->uuid('id');
            $table->foreignUuid('school_id')->constrained()->cascadeOnDelete();
            $table->uuid('student_id');
            $table->json('tests')->comment('each as what was seen and ages in stabilities');
            $table->primary(['school_id', 'id']);
            $table->unique(['school_id', 'student_id']);
            $table->foreign(['school_id', 'student_id'])->references(['school_id', 'id'])->on('students')->cascadeOnDelete();
        });
        DB::statement("comment on table forecast_tests is 'what a student''s marks said of the forecasts; none where they changed since it was measured'");
        foreach (DB::table('schools')->orderBy('id')->pluck('id') as $school) {
            DB::statement("select set_config('gorvan.school', ?, true)", [$school]);
            DB::insert('insert into forecast_tests (id, school_id, student_id, tests) select id, school_id, id, forecasts from students where school_id = ? and forecasts is not null', [$school]);
        }
        DB::statement("select set_config('gorvan.school', '', true)");
        DB::statement('alter table forecast_tests enable row level security');
        DB::statement('alter table forecast_tests force row level security');
        DB::statement("create policy own_school on forecast_tests using (school_id = current_setting('gorvan.school')::uuid) with check (school_id = current_setting('gorvan.school')::uuid)");
        Schema::table('students', static fn (Blueprint $table) => $table->dropColumn('forecasts'));
    }
};
