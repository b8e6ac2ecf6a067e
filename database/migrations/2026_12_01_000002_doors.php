<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Schools and people are hidden by row policies like everything else. Whoever signs in is in no school yet: one function
 * gives the one row of whoever has this address, or this id, and no other way leads to it. Sessions live in the database.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('sessions', static function (Blueprint $table): void {
            $table->string('id')->primary();
            $table->uuid('user_id')->nullable()->index();
            $table->string('ip_address', 45)->nullable();
            $table->text('user_agent')->nullable();
            $table->longText('payload')->comment('encrypted with the key of the application');
            $table->integer('last_activity')->index();
        });
        // The role that owns the tables is not bound by these two, so that the functions below can look past them.
        foreach (['schools' => 'id', 'users' => 'school_id'] as $table => $school) {
            DB::statement("alter table $table enable row level security");
            DB::statement("create policy own_school on $table using ($school::text = current_setting('gorvan.school', true)) with check ($school::text = current_setting('gorvan.school', true))");
        }
        DB::statement(<<<'SQL'
            create or replace function gorvan_who(address text, person uuid) returns setof users
            language sql stable security definer set search_path from current
            as 'select * from users where case when person is null then email = address else id = person end limit 1'
            SQL);
        DB::statement(<<<'SQL'
            create or replace function gorvan_has_school(demo boolean) returns boolean
            language sql stable security definer set search_path from current
            as 'select exists (select from schools where is_demo or not demo)'
            SQL);
        DB::statement(<<<'SQL'
            create or replace function gorvan_demo_school() returns uuid
            language sql stable security definer set search_path from current
            as 'select id from schools where is_demo order by created_at limit 1'
            SQL);
    }
};
