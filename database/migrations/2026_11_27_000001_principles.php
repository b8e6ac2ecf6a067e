<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Principles: sets kept whole with their versions, a row for each principle so that the record can name it, and where they
 * bite in a form. A mark is about an entry, or about a principle, in general or as seen in an entry.
 */
return new class extends Migration
{
    private const NEW_TABLES = ['principle_sets', 'principle_versions', 'principles', 'bites'];

    public function up(): void
    {
        $this->table('principle_sets', static function (Blueprint $table): void {
            $table->uuid('id');
            $table->string('title', 300);
            $table->json('document')->comment('gorvan.principles/1 without its bites');
            $table->integer('version')->default(0);
            $table->timestampsTz(6);
            $table->primary(['school_id', 'id']);
        });
        $this->table('principle_versions', static function (Blueprint $table): void {
            $table->uuid('id');
            $table->uuid('set_id');
            $table->integer('number');
            $table->uuid('made_by')->nullable();
            $table->timestampTz('made_at', 6);
            $table->json('what')->comment('sentences');
            $table->json('document');
            $table->char('sent', 26)->nullable()->comment('made on the device: the same change sent twice is made once');
            $table->primary(['school_id', 'id']);
            $table->foreign(['school_id', 'set_id'])->references(['school_id', 'id'])->on('principle_sets')->cascadeOnDelete();
            $table->foreign(['school_id', 'made_by'])->references(['school_id', 'id'])->on('users');
            $table->unique(['school_id', 'set_id', 'number']);
        });
        $this->table('principles', static function (Blueprint $table): void {
            $table->uuid('id');
            $table->uuid('set_id');
            $table->string('key', 120)->comment('its id in the set');
            $table->string('title', 300);
            $table->integer('ordinal')->nullable()->comment('null once it is taken out of its set: the record still names it');
            $table->primary(['school_id', 'id']);
            $table->foreign(['school_id', 'set_id'])->references(['school_id', 'id'])->on('principle_sets')->cascadeOnDelete();
            $table->unique(['school_id', 'set_id', 'key']);
        });
        $this->table('bites', static function (Blueprint $table): void {
            $table->uuid('id');
            $table->uuid('set_id');
            $table->uuid('form_id');
            $table->json('document')->comment('bites of gorvan.principles/1');
            $table->integer('version')->default(0);
            $table->primary(['school_id', 'id']);
            $table->unique(['school_id', 'set_id', 'form_id']);
            $table->foreign(['school_id', 'set_id'])->references(['school_id', 'id'])->on('principle_sets')->cascadeOnDelete();
            $table->foreign(['school_id', 'form_id'])->references(['school_id', 'id'])->on('forms')->cascadeOnDelete();
            $table->index(['school_id', 'form_id']);
        });
        foreach (self::NEW_TABLES as $table) {
            DB::statement("alter table $table enable row level security");
            DB::statement("alter table $table force row level security");
            DB::statement("create policy own_school on $table using (school_id::text = current_setting('gorvan.school', true)) with check (school_id::text = current_setting('gorvan.school', true))");
        }
        Schema::table('groups', static function (Blueprint $table): void {
            $table->uuid('principle_set_id')->nullable();
            $table->integer('focuses')->default(1)->comment('principles a meeting');
            $table->foreign(['school_id', 'principle_set_id'])->references(['school_id', 'id'])->on('principle_sets');
            $table->index(['school_id', 'principle_set_id']);
        });
        Schema::table('marks', static function (Blueprint $table): void {
            $table->uuid('entry_id')->nullable()->change();
            $table->uuid('principle_id')->nullable()->comment('of a mark on the ladder of principles');
            $table->foreign(['school_id', 'principle_id'])->references(['school_id', 'id'])->on('principles');
            $table->index(['school_id', 'principle_id']);
        });
        DB::statement('alter table marks add constraint marks_about_something check (entry_id is not null or principle_id is not null)');
        $this->emptyFocuses();
    }

    /** A focus in words stood in the plan beside the pin that says it; a plan's focus is of principles now. */
    private function emptyFocuses(): void
    {
        foreach (DB::table('schools')->pluck('id') as $school) {
            DB::statement("select set_config('gorvan.school', ?, false)", [$school]);
            DB::update("update meetings set plan = jsonb_set(plan::jsonb, '{focus}', '[]')::json where plan is not null and plan::jsonb -> 'focus' @> '[{}]'");
        }
        DB::statement("select set_config('gorvan.school', '', false)");
    }

    private function table(string $name, Closure $columns): void
    {
        Schema::create($name, static function (Blueprint $table) use ($columns): void {
            $table->foreignUuid('school_id')->constrained()->cascadeOnDelete();
            $columns($table);
        });
    }
};
