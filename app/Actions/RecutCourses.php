<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\Meeting;
use Gorvan\Core\Lesson\CutImpossible;
use Gorvan\Core\Reading\Message;

/** A form changed under its courses: those of running terms take its lessons again, or are cut again, say what that moved, and are planned again. */
final class RecutCourses
{
    public function __construct(private readonly CurrentSchool $school, private readonly CutCourse $cut, private readonly AskForPlan $ask)
    {
    }

    /**
     * @param  bool  $isOnlyOfForm  only those that take the form's own lessons
     * @return list<Message> what moved, each with its group and term
     */
    public function __invoke(Form $form, bool $isOnlyOfForm = false): array
    {
        $today = $this->school->today();
        $courses = Course::with('term.group', 'term.meetings')->where('form_id', $form->id)
            ->whereHas('term', static fn ($term) => $term->where('ends_on', '>=', $today))->get();
        if ($isOnlyOfForm) {
            $courses = $courses->filter(static fn (Course $course): bool => $course->takesLessons());
        }
        if ($courses->isEmpty()) {
            return [];
        }
        $placed = $form->placed();
        $moved = [];
        foreach ($courses as $course) {
            $in = static fn (string $code, Message|string ...$with): Message => Message::of($code, ...['group' => $course->term->group->name, 'term' => $course->term->title, ...$with]);
            try {
                $minutes = array_values($course->term->meetings->map(static fn (Meeting $meeting): int => $meeting->minutes)->all());
                foreach (($this->cut)($course, $placed, $minutes) as $said) {
                    $moved[] = $in('moved.term', says: $said);
                }
            } catch (CutImpossible $e) {
                // The form's own cut is possible; a course with other sizes or pins may keep what it had.
                $moved[] = $in('moved.cannot', why: $e->reason);
            }
            ($this->ask)($course->term, Message::of('cause.form', form: $form->title));
        }

        return $moved;
    }
}
