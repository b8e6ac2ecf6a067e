<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\Form;
use App\Models\FormVersion;
use App\Models\KeptLesson;
use App\Models\PlacedForm;
use Gorvan\Core\Form\Change\FormDifference;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\Content\KeptLessons;
use Gorvan\Core\Lesson\Content\WrittenLesson;
use Gorvan\Core\Lesson\Lesson;
use Illuminate\Support\Str;

/** Reads the lessons of a form, or of a course of it: as they are cut, each with what a teacher wrote for it. */
final class ReadLessons
{
    public function __construct(private readonly TryCut $cut)
    {
    }

    /**
     * @return list<LessonInCut> in the order of the cut; those that are written and belong to none of them come after
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public function __invoke(Form $row, PlacedForm $placed, ?Course $course): array
    {
        $form = $placed->form;
        $cut = $this->cut->kept($row, $placed, $course)->lessons;
        $entries = array_map(static fn (Lesson $lesson): array => self::counted($form, $lesson), $cut);
        $own = $this->written($row->id, $course?->id);
        $found = $this->among($entries, $own);
        // What was written into the form's lessons is there in every course, but for lessons the course has its own words for.
        $found += $course === null ? [] : $this->among(array_diff_key($entries, $found), $this->written($row->id, null));
        $lessons = [];
        foreach ($cut as $at => $lesson) {
            $lessons[] = new LessonInCut($lesson->number, $lesson->load, $entries[$at], ($found[$at] ?? null)?->written(), $found[$at] ?? null);
        }
        $placedIds = array_map(static fn (KeptLesson $one): string => $one->id, $found);
        foreach ($own as $one) {
            if (! in_array($one->id, $placedIds, true)) {
                $lessons[] = new LessonInCut(null, null, $one->written()->entries, $one->written(), $one);
            }
        }

        return $lessons;
    }

    /** @return array<string, KeptLesson> by id, in the order in which they were written */
    private function written(string $form, ?string $course): array
    {
        return KeptLesson::where('form_id', $form)->where('course_id', $course)->orderBy('created_at')->orderBy('id')->get()->keyBy('id')->all();
    }

    /**
     * @param  array<int, list<string>>  $entries  of the lessons
     * @param  array<string, KeptLesson>  $rows
     * @return array<int, KeptLesson> by the keys of the lessons
     */
    private function among(array $entries, array $rows): array
    {
        return array_map(static fn (WrittenLesson $one): KeptLesson => $rows[$one->id], KeptLessons::among($entries, array_values(array_map(static fn (KeptLesson $one): WrittenLesson => $one->written(), $rows))));
    }

    /** What a new lesson begins as, where nobody has written anything yet. */
    public function unwritten(LessonInCut $lesson): WrittenLesson
    {
        return new WrittenLesson((string) Str::uuid(), $lesson->entries);
    }

    /** What of the form has changed since a lesson was last looked over; null where nothing was, or it is not known. */
    public function changesSince(KeptLesson $lesson, Form $form, CoreForm $now): ?FormDifference
    {
        if ($lesson->form_version === $form->version) {
            return null;
        }
        $then = FormVersion::where('form_id', $lesson->form_id)->where('number', $lesson->form_version)->first();

        return $then === null ? null : FormDifference::between($then->form(), $now);
    }

    /** @return list<string> */
    private static function counted(CoreForm $form, Lesson $lesson): array
    {
        $ids = $form->countedIdsOf(new Passage($lesson->from, $lesson->to));

        return $ids === [] ? $form->idsOf(new Passage($lesson->from, $lesson->to)) : $ids;
    }
}
