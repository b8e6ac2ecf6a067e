<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A form is kept as its file says it, with every version it had. An entry that is taken out of a form keeps its row, and
 * with it its marks: it has no position until it is put back.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('forms', function (Blueprint $table): void {
            $table->json('score')->nullable()->comment('what the form file says of the form as a whole, sections too');
            $table->integer('version')->default(1);
        });
        $this->inEverySchool($this->gather(...));
        Schema::table('forms', function (Blueprint $table): void {
            $table->json('score')->nullable(false)->change();
            $table->dropColumn(['family', 'announced', 'breath_seconds', 'footfall', 'others']);
        });
        Schema::drop('sections');
        // Positions are exchanged within one statement or transaction, so they are compared at its end.
        Schema::table('entries', function (Blueprint $table): void {
            $table->integer('position')->nullable()->change();
            $table->dropUnique(['form_id', 'position']);
        });
        DB::statement('alter table entries add constraint entries_form_id_position_unique unique (form_id, position) deferrable initially deferred');
        Schema::create('form_versions', function (Blueprint $table): void {
            $table->uuid('id');
            $table->foreignUuid('school_id')->constrained()->cascadeOnDelete();
            $table->uuid('form_id');
            $table->integer('number');
            $table->uuid('made_by')->nullable();
            $table->timestampTz('made_at', 6);
            $table->json('what')->comment('sentences');
            $table->text('file')->comment('the form file as it then was');
            $table->primary(['school_id', 'id']);
            $table->foreign(['school_id', 'form_id'])->references(['school_id', 'id'])->on('forms')->cascadeOnDelete();
            $table->foreign(['school_id', 'made_by'])->references(['school_id', 'id'])->on('users');
            $table->unique(['form_id', 'number']);
        });
        DB::statement('alter table form_versions enable row level security');
        DB::statement('alter table form_versions force row level security');
        DB::statement("create policy own_school on form_versions using (school_id::text = current_setting('gorvan.school', true)) with check (school_id::text = current_setting('gorvan.school', true))");
    }

    private function gather(): void
    {
        foreach (DB::table('forms')->get() as $form) {
            $sections = DB::table('sections')->where('form_id', $form->id)->orderBy('first')->get();
            DB::table('forms')->where('id', $form->id)->update(['score' => json_encode((object) [
                ...array_filter([
                    'title' => $form->title,
                    'family' => $form->family,
                    'announced' => $form->announced,
                    'breath_seconds' => $form->breath_seconds === null ? null : (float) $form->breath_seconds,
                    'footfall' => $form->footfall,
                    'sections' => $sections->map(static fn (stdClass $section): array => [
                        'title' => $section->title, 'first' => $section->first, 'last' => $section->last, ...get_object_vars(json_decode($section->others)),
                    ])->all(),
                ], static fn (mixed $value): bool => $value !== null && $value !== []),
                ...get_object_vars(json_decode($form->others)),
            ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)]);
        }
    }

    /** Row policies hide every row from a connection that is in no school. */
    private function inEverySchool(Closure $work): void
    {
        foreach (DB::table('schools')->pluck('id') as $school) {
            DB::statement("select set_config('gorvan.school', ?, false)", [$school]);
            $work();
        }
        DB::statement("select set_config('gorvan.school', '', false)");
    }
};
