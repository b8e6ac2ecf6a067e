<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\Form;
use App\Models\KeptLesson;
use Gorvan\Core\Lesson\Content\LessonsFile;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Takes lessons over from a file: all of them or none. A lesson that is there under the same id, for the same group, is replaced. */
final class ImportLessons
{
    public function __construct(private readonly KeepLesson $keep)
    {
    }

    /**
     * @return array{int, list<Message>} how many, and what was kept without being understood
     *
     * @throws \Gorvan\Core\Reading\BadInput and nothing is changed
     */
    public function __invoke(Form $form, ?Course $course, string $text): array
    {
        [$lessons, $warnings] = LessonsFile::read($text, $form->placed()->form);
        DB::transaction(function () use ($form, $course, $lessons): void {
            foreach ($lessons as $lesson) {
                $there = Str::isUuid($lesson->id) ? KeptLesson::where('form_id', $form->id)->where('course_id', $course?->id)->whereKey($lesson->id)->first() : null;
                // An id of another file, or of another group's lesson, is not this one's.
                ($this->keep)($form, $course, $there === null ? $lesson->with(['id' => (string) Str::uuid()]) : $lesson, $there->version ?? 0);
            }
        });

        return [count($lessons), $warnings];
    }
}
