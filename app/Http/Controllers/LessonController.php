<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ImportLessons;
use App\Actions\KeepLesson;
use App\Actions\LessonInCut;
use App\Actions\NamedCourse;
use App\Actions\ReadLessons;
use App\Actions\Refused;
use App\Forms\Requests\CourseQuery;
use App\Http\Data\CourseNameData;
use App\Http\Data\LessonPageData;
use App\Http\Data\LessonRow;
use App\Http\Data\LessonsReadData;
use App\Lessons\Requests\LessonsFileQuery;
use App\Lessons\Requests\LessonsFileText;
use App\Lessons\Requests\LessonText;
use App\Lessons\Requests\LessonUse;
use App\Models\Course;
use App\Models\Form;
use App\Models\KeptLesson;
use App\Shared\Description\Operation;
use App\Shared\FileKind;
use Gorvan\Core\Lesson\Content\LessonsFile;
use Gorvan\Core\Lesson\Content\WrittenLesson;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** What the lessons of a form hold, for no group or as a course of it has them. */
final class LessonController extends Controller
{
    public function __construct(private readonly ReadLessons $lessons)
    {
    }

    #[Operation('lessons', 'The lessons in order; those that are written and have no place in the cut come last', [LessonRow::class])]
    public function index(CourseQuery $of, Form $form): JsonResponse
    {
        $placed = $form->placed();

        return new JsonResponse(array_map(static fn (LessonInCut $one): LessonRow => LessonRow::of($one, $placed->form), ($this->lessons)($form, $placed, NamedCourse::of($of->course, $form))));
    }

    #[Operation('formCourses', 'Who learns it in which term, the latest first', [CourseNameData::class])]
    public function courses(Form $form): JsonResponse
    {
        return new JsonResponse(Course::with('term.group')->where('form_id', $form->id)->get()->sortByDesc(static fn (Course $course): string => $course->term->starts_on)
            ->map(static fn (Course $course): CourseNameData => new CourseNameData($course->id, $course->term->group->name, $course->term->title))->values()->all());
    }

    #[Operation('lesson', 'All that one lesson holds', LessonPageData::class)]
    public function show(CourseQuery $of, Form $form, string $number): JsonResponse
    {
        $placed = $form->placed();
        foreach (($this->lessons)($form, $placed, NamedCourse::of($of->course, $form)) as $one) {
            if ((string) $one->number === $number || $one->row?->id === $number) {
                return new JsonResponse($this->page($one, $form));
            }
        }
        abort(404);
    }

    #[Operation('keepLesson', 'Kept', LessonPageData::class, mayConflict: true)]
    public function keep(LessonText $sent, Form $form, KeepLesson $keep): JsonResponse
    {
        $lesson = WrittenLesson::read($sent->lesson);
        if (! Str::isUuid($lesson->id)) {
            throw Refused::because(Message::of('lesson.id'), 'lesson.id');
        }
        $course = NamedCourse::of($sent->course, $form);
        $keep($form, $course, $lesson, $sent->version);

        return new JsonResponse($this->page($this->found($form, $course, $lesson->id), $form));
    }

    #[Operation('removeLesson', 'What was written is gone; the lesson of the cut stays')]
    public function destroy(KeptLesson $lesson): Response
    {
        $lesson->delete();

        return response()->noContent();
    }

    #[Operation('useLesson', 'The same lesson for another group or term, which leaves the first alone', LessonPageData::class, status: 201)]
    public function useAgain(LessonUse $sent, KeptLesson $lesson, KeepLesson $keep): JsonResponse
    {
        $course = NamedCourse::of($sent->course, $lesson->form);
        $copy = $lesson->written()->with(['id' => $sent->id]);
        $keep($lesson->form, $course, $copy, 0, $lesson->id);

        return new JsonResponse($this->page($this->found($lesson->form, $course, $copy->id), $lesson->form), 201);
    }

    #[Operation('lessonsFile', 'The lessons as gorvan.lessons/1, or as a list in CSV')]
    public function file(LessonsFileQuery $asked, Form $form): Response
    {
        $as = $asked->as ?? FileKind::Json;
        $placed = $form->placed();
        $lessons = array_map(fn (LessonInCut $one): WrittenLesson => $this->written($one), ($this->lessons)($form, $placed, NamedCourse::of($asked->course, $form)));
        $text = $as === FileKind::Csv ? LessonsFile::csv($placed->form, $lessons) : LessonsFile::written($placed->form, $lessons);

        return response($text, 200, [
            'Content-Type' => $as === FileKind::Csv ? 'text/csv; charset=utf-8' : 'application/json',
            'Content-Disposition' => 'attachment; filename="'.(Str::slug($form->title) ?: 'form')."-lessons.$as->value\"",
        ]);
    }

    #[Operation('importLessons', 'Kept', LessonsReadData::class, status: 201)]
    public function import(LessonsFileText $sent, Form $form, ImportLessons $import): JsonResponse
    {
        [$count, $warnings] = $import($form, NamedCourse::of($sent->course, $form), $sent->text);

        return new JsonResponse(new LessonsReadData($count, $warnings), 201);
    }

    private function found(Form $form, ?Course $course, string $id): LessonInCut
    {
        foreach (($this->lessons)($form, $form->placed(), $course) as $one) {
            if ($one->row?->id === $id) {
                return $one;
            }
        }
        abort(404);
    }

    private function page(LessonInCut $lesson, Form $form): LessonPageData
    {
        $now = $form->placed()->form;

        return LessonPageData::of($lesson, $this->written($lesson), $now, $lesson->row === null ? null : $this->lessons->changesSince($lesson->row, $form, $now));
    }

    /** What is written, for the entries of the lesson as it is cut. */
    private function written(LessonInCut $lesson): WrittenLesson
    {
        return $lesson->written?->with(['entries' => $lesson->entries]) ?? $this->lessons->unwritten($lesson);
    }
}
