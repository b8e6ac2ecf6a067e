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
        $rows = KeptLesson::where('form_id', $row->id)->where('course_id', $course?->id)->orderBy('created_at')->orderBy('id')->get()->keyBy('id');
        $left = $rows->map(static fn (KeptLesson $one): WrittenLesson => $one->written())->all();
        $lessons = [];
        foreach ($this->cut->kept($row, $placed, $course)->lessons as $at => $lesson) {
            $entries = self::counted($form, $lesson);
            $written = KeptLessons::for($entries, array_values($left));
            if ($written !== null) {
                unset($left[$written->id]);
            }
            $lessons[] = new LessonInCut($at + 1, $lesson->load, $entries, $written, $written === null ? null : $rows[$written->id]);
        }
        foreach ($left as $id => $written) {
            $lessons[] = new LessonInCut(null, null, $written->entries, $written, $rows[$id]);
        }

        return $lessons;
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
