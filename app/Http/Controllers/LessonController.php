<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ImportLessons;
use App\Actions\KeepLesson;
use App\Actions\LessonInCut;
use App\Actions\NamedCourse;
use App\Actions\ReadLessons;
use App\Actions\Refused;
use App\Http\Data\CourseNameData;
use App\Http\Data\LessonPageData;
use App\Http\Data\LessonRow;
use App\Http\Data\LessonsReadData;
use App\Http\OpenApi\Makes;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Models\Course;
use App\Models\Form;
use App\Models\KeptLesson;
use Gorvan\Core\Lesson\Content\LessonsFile;
use Gorvan\Core\Lesson\Content\WrittenLesson;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** What the lessons of a form hold, for no group or as a course of it has them. */
final class LessonController extends Controller
{
    private const MOST_VERSIONS = 1_000_000;

    public function __construct(private readonly ReadLessons $lessons)
    {
    }

    #[Reads('/api/forms/{form}/lessons', 'lessons', 'The lessons in order; those that are written and have no place in the cut come last', [LessonRow::class], query: ['course' => 'string'])]
    public function index(Request $request, Form $form): JsonResponse
    {
        $placed = $form->placed();

        return new JsonResponse(array_map(static fn (LessonInCut $one): LessonRow => LessonRow::of($one, $placed->form), ($this->lessons)($form, $placed, NamedCourse::of($request->query('course'), $form))));
    }

    #[Reads('/api/forms/{form}/courses', 'formCourses', 'Who learns it in which term, the latest first', [CourseNameData::class])]
    public function courses(Form $form): JsonResponse
    {
        return new JsonResponse(Course::with('term.group')->where('form_id', $form->id)->get()->sortByDesc(static fn (Course $course): string => $course->term->starts_on)
            ->map(static fn (Course $course): CourseNameData => new CourseNameData($course->id, $course->term->group->name, $course->term->title))->values()->all());
    }

    #[Reads('/api/forms/{form}/lessons/{number}', 'lesson', 'All that one lesson holds', LessonPageData::class, query: ['course' => 'string'])]
    public function show(Request $request, Form $form, string $number): JsonResponse
    {
        $placed = $form->placed();
        foreach (($this->lessons)($form, $placed, NamedCourse::of($request->query('course'), $form)) as $one) {
            if ((string) $one->number === $number || $one->row?->id === $number) {
                return new JsonResponse($this->page($one, $form));
            }
        }
        abort(404);
    }

    #[Puts('/api/forms/{form}/lessons', 'keepLesson', 'Kept', LessonPageData::class, takes: ['course?' => 'string|null', 'version' => 'integer', 'lesson' => 'any'], mayConflict: true)]
    public function keep(Request $request, Form $form, KeepLesson $keep): JsonResponse
    {
        $sent = JsonNode::parse($request->getContent());
        $lesson = WrittenLesson::read($sent->required('lesson'));
        if (! Str::isUuid($lesson->id)) {
            throw Refused::because(Message::of('lesson.id'), 'lesson.id');
        }
        $course = NamedCourse::of($sent->optional('course')?->text(), $form);
        $keep($form, $course, $lesson, $sent->required('version')->whole(0, self::MOST_VERSIONS));

        return new JsonResponse($this->page($this->found($form, $course, $lesson->id), $form));
    }

    #[Removes('/api/lessons/{lesson}', 'removeLesson', 'What was written is gone; the lesson of the cut stays')]
    public function destroy(KeptLesson $lesson): Response
    {
        $lesson->delete();

        return response()->noContent();
    }

    #[Makes('/api/lessons/{lesson}/use', 'useLesson', 'The same lesson for another group or term, which leaves the first alone', LessonPageData::class, takes: ['id' => 'string', 'course' => 'string|null'], status: 201)]
    public function useAgain(Request $request, KeptLesson $lesson, KeepLesson $keep): JsonResponse
    {
        $given = $request->validate(['id' => ['required', 'uuid'], 'course' => ['present', 'nullable', 'uuid']]);
        $course = NamedCourse::of($given['course'], $lesson->form);
        $copy = $lesson->written()->with(['id' => $given['id']]);
        $keep($lesson->form, $course, $copy, 0, $lesson->id);

        return new JsonResponse($this->page($this->found($lesson->form, $course, $copy->id), $lesson->form), 201);
    }

    #[Reads('/api/forms/{form}/lessons-file', 'lessonsFile', 'The lessons as gorvan.lessons/1, or as a list in CSV', query: ['course' => 'string', 'as' => 'enum:json,csv'])]
    public function file(Request $request, Form $form): Response
    {
        $as = $request->validate(['as' => ['nullable', 'in:json,csv']])['as'] ?? 'json';
        $placed = $form->placed();
        $lessons = array_map(fn (LessonInCut $one): WrittenLesson => $this->written($one), ($this->lessons)($form, $placed, NamedCourse::of($request->query('course'), $form)));
        $text = $as === 'csv' ? LessonsFile::csv($placed->form, $lessons) : LessonsFile::written($placed->form, $lessons);

        return response($text, 200, [
            'Content-Type' => $as === 'csv' ? 'text/csv; charset=utf-8' : 'application/json',
            'Content-Disposition' => 'attachment; filename="'.(Str::slug($form->title) ?: 'form')."-lessons.$as\"",
        ]);
    }

    #[Makes('/api/forms/{form}/lessons-file', 'importLessons', 'Kept', LessonsReadData::class, takes: ['text' => 'string', 'course?' => 'string|null'], status: 201)]
    public function import(Request $request, Form $form, ImportLessons $import): JsonResponse
    {
        $given = $request->validate(['text' => ['required', 'string', 'max:'.FormController::MOST_TEXT], 'course' => ['nullable', 'uuid']]);
        [$count, $warnings] = $import($form, NamedCourse::of($given['course'] ?? null, $form), $given['text']);

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
