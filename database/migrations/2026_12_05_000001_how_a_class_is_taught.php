<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Ramsey\Uuid\Uuid;

/**
 * A course says how it is taught: its pace, whether its lessons lie evenly, what is kept before a showing and at the end, and what of
 * it is only kept alive. What groups taught before teaches no pace any more, for the defaults it was planned by have changed; what was
 * only shown is read as exposure, so that every record is read anew; and plans are made anew, quietly, when they are next looked at.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement("select set_config('gorvan.school', ?, true)", [Uuid::NIL]);
        Schema::table('courses', static function (Blueprint $table): void {
            $table->json('pace')->nullable()->comment('movements an evening, or minutes a simple movement takes; null for what was learned or is usual');
            $table->boolean('spread')->nullable()->comment('lessons lie evenly over the evenings; null to leave it to the plan');
            $table->boolean('settled_spread')->nullable()->comment('what the plan made of it, until dates, target or pace change');
            $table->text('settled_for')->nullable()->comment('the dates, target and pace it was settled for');
            $table->smallInteger('reserve')->default(1)->comment('meetings before a showing that bring nothing new');
            $table->boolean('looks_back')->default(true)->comment('the last meeting of a term of six or more brings nothing new');
            $table->json('keeps')->nullable()->comment('passages that are kept alive, by entry; a course that has some has no lessons');
        });
        Schema::table('terms', static function (Blueprint $table): void {
            $table->json('turns')->nullable()->comment('whose evening it is, by place of the course, over and over; null where all share each evening');
            $table->smallInteger('plan_format')->default(1)->comment('the format its plans were last written in');
        });
        foreach (DB::table('schools')->orderBy('id')->pluck('id') as $school) {
            DB::statement("select set_config('gorvan.school', ?, true)", [$school]);
            DB::table('groups')->where('school_id', $school)->update(['pace_since' => now()]);
            DB::table('students')->where('school_id', $school)->update(['record_epoch' => DB::raw('record_epoch + 1')]);
        }
        DB::statement("select set_config('gorvan.school', '', true)");
    }
};
