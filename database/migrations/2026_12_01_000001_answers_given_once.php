<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What a request that makes something was answered, so that the same request sent again makes nothing more. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('given_answers', static function (Blueprint $table): void {
            $table->foreignUuid('school_id')->constrained()->cascadeOnDelete();
            $table->uuid('id')->comment('made by the page');
            $table->uuid('user_id');
            $table->char('asked', 64)->comment('SHA-256 of the method, the path and the body');
            $table->smallInteger('status');
            $table->text('body')->comment('encrypted with the key of the application');
            $table->timestampTz('at', 6);
            $table->primary(['school_id', 'id']);
            $table->index(['school_id', 'at']);
        });
        DB::statement('alter table given_answers enable row level security');
        DB::statement('alter table given_answers force row level security');
        DB::statement("create policy own_school on given_answers using (school_id::text = current_setting('gorvan.school', true)) with check (school_id::text = current_setting('gorvan.school', true))");
    }
};
