<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Http\FormEdition;
use App\Models\Course as CourseRow;
use App\Models\Form as FormRow;
use App\Models\PlacedForm;
use Gorvan\Core\Form\EntryLoad;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Section;
use Gorvan\Core\Form\Time\RunTime;
use Gorvan\Core\Lesson\JoinRest;
use Gorvan\Core\Lesson\Lesson;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\OwnLessons;
use Gorvan\Core\Lesson\RecapFinder;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Course;

/** A form, cut into lessons, with everything the cut was decided by. */
final readonly class FormData
{
    /**
     * @param  string  $edition  the state it is in; empty for a form that is not saved
     * @param  list<EntryData>  $entries
     * @param  list<SectionData>  $sections
     * @param  list<JoinData>  $joins
     * @param  list<LessonData>  $lessons
     * @param  list<Message>  $moved  what a change moved in running terms
     * @param  int  $worth  how many lessons of the usual size
     * @param  bool  $hasOwnLessons  whether its lessons are kept as its own, for every group that takes them
     * @param  string|null  $lessonsOf  whose lessons these are, where a group has others than the form
     */
    public function __construct(
        public string $id,
        public string $edition,
        public string $title,
        public ?string $family,
        public ?int $announced,
        public float $target,
        public float $lambda,
        public float $objective,
        public float $totalLoad,
        public int $worth,
        public float $seconds,
        public array $entries,
        public array $sections,
        public array $joins,
        public array $lessons,
        public array $moved = [],
        public bool $hasOwnLessons = false,
        public ?string $lessonsOf = null,
    ) {
    }

    /**
     * A saved form, cut as it asks to be.
     *
     * @param  PlacedForm|null  $placed  where it is read already
     * @param  list<Message>  $moved  what a change moved in running terms
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public static function saved(FormRow $row, ?PlacedForm $placed = null, array $moved = []): self
    {
        $placed ??= $row->placed();

        return self::of($placed->form, $row->cut(new LessonCutter, $placed), $placed->ids, $row, FormEdition::own($row), $moved);
    }

    /**
     * A saved form in the lessons of a course.
     *
     * @param  Course  $course  the row as core knows it, with the pace of its group
     */
    public static function inCourse(CourseRow $row, PlacedForm $placed, Course $course): self
    {
        $cut = $row->kept(new LessonCutter, $placed, []);
        $isOwn = $cut->lessons === [] || OwnLessons::are($placed->form, $course->target, $cut->lessons);

        return self::of($placed->form, $cut, $placed->ids, $row->form, FormEdition::inCourse($row), course: $course, lessonsOf: $isOwn ? null : $row->loadMissing('term.group')->term->group->name);
    }

    /**
     * @param  list<string>  $ids row ids by position, empty for a form that is not saved
     * @param  list<Message>  $moved
     */
    public static function of(Form $form, LessonCut $cut, array $ids = [], ?FormRow $row = null, string $edition = '', array $moved = [], ?Course $course = null, ?string $lessonsOf = null): self
    {
        $time = new RunTime($form);
        $recaps = new RecapFinder($form, $cut->joins);

        return new self(
            id: $row->id ?? '',
            edition: $edition,
            title: $form->title,
            family: $form->family,
            announced: $form->announced,
            target: $cut->target,
            lambda: $cut->lambda,
            objective: $cut->objective,
            totalLoad: $cut->totalLoad(),
            worth: $cut->worth(),
            seconds: $time->secondsBetween(1, $form->count()),
            entries: array_map(static fn (EntryLoad $load): EntryData => EntryData::of($form, $load, $ids[$load->position - 1] ?? ''), $cut->loads),
            sections: array_map(static fn (Section $section): SectionData => new SectionData($section->title, $section->first, $section->last), $form->sections),
            joins: array_map(static fn (JoinRest $join): JoinData => new JoinData($join->after, $join->rest, $join->pin), $cut->joins),
            lessons: array_map(static function (Lesson $lesson) use ($recaps, $time, $course): LessonData {
                return new LessonData($lesson->number, $lesson->from, $lesson->to, $lesson->load, PassageData::of($recaps->before($lesson->from)), $time->secondsBetween($lesson->from, $lesson->to), RoundData::of($course, $lesson->load));
            }, $cut->lessons),
            moved: $moved,
            hasOwnLessons: $form->lessons !== [],
            lessonsOf: $lessonsOf,
        );
    }
}
