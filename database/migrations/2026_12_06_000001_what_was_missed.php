<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Ramsey\Uuid\Uuid;

/** A record says what was taught to a student, for one evening of review does not make up for a lesson; so records are read anew. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement("select set_config('gorvan.school', ?, true)", [Uuid::NIL]);
        Schema::table('checkpoint_tracks', static function (Blueprint $table): void {
            $table->boolean('was_taught')->default(false)->comment('whether they were there when it was taught, or knew it before');
        });
        foreach (DB::table('schools')->orderBy('id')->pluck('id') as $school) {
            DB::statement("select set_config('gorvan.school', ?, true)", [$school]);
            DB::table('students')->where('school_id', $school)->update(['record_epoch' => DB::raw('record_epoch + 1')]);
        }
        DB::statement("select set_config('gorvan.school', '', true)");
    }
};
