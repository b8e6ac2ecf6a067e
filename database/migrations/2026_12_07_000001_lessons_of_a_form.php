<?php

declare(strict_types=1);

use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Lesson\CutImpossible;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\LessonSize;
use Gorvan\Core\Lesson\OwnLessons;
use Gorvan\Core\Reading\JsonNode;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Ramsey\Uuid\Uuid;

/**
 * Lessons are the form's own from the moment something is written into one: what was written for no group keeps the cut it was written
 * for. Courses keep the cuts they have.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement("select set_config('gorvan.school', ?, true)", [Uuid::NIL]);
        Schema::table('forms', static function (Blueprint $table): void {
            $table->json('own_lessons')->nullable()->comment('its lessons by the ids of their entries, which every course takes that has no cut of its own; null while no cut was kept');
        });
        foreach (DB::table('schools')->orderBy('id')->pluck('id') as $school) {
            DB::statement("select set_config('gorvan.school', ?, true)", [$school]);
            $written = DB::table('lessons')->where('school_id', $school)->whereNull('course_id')->distinct()->pluck('form_id');
            foreach (DB::table('forms')->where('school_id', $school)->whereIn('id', $written)->orderBy('id')->get() as $form) {
                $this->keep($form);
            }
        }
        DB::statement("select set_config('gorvan.school', '', true)");
    }

    private function keep(stdClass $row): void
    {
        $entries = DB::table('entries')->where(['school_id' => $row->school_id, 'form_id' => $row->id])->whereNotNull('position')->orderBy('position')->pluck('document');
        $root = [...(array) json_decode($row->document, false, 512, JSON_THROW_ON_ERROR), 'format' => FormFileReader::FORMAT, 'entries' => array_map(static fn (string $one): object => json_decode($one, false, 512, JSON_THROW_ON_ERROR), $entries->all())];
        $form = (new FormFileReader)->readNode(JsonNode::of((object) $root))->form;
        $size = new LessonSize($row->target, $row->lesson_count, $row->lesson_minutes, $row->load_minutes, $row->lambda);
        try {
            $cut = (new LessonCutter)->weighing($size->lambda)->cut($form, $size->target(), $size->count);
        } catch (CutImpossible) {
            return; // nothing could be shown of it either: there is no cut to keep
        }
        DB::table('forms')->where(['school_id' => $row->school_id, 'id' => $row->id])->update(['own_lessons' => json_encode(OwnLessons::kept($form, $cut->lessons), JSON_THROW_ON_ERROR)]);
    }
};
