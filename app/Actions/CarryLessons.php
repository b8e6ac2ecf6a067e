<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\KeptLesson;
use App\Models\Term;
use Illuminate\Support\Str;

/** Takes what was written for a term's lessons along into the next: copies of their own, course by course as they follow. */
final class CarryLessons
{
    public function __construct(private readonly KeepLesson $keep)
    {
    }

    public function __invoke(Term $from, Term $to): void
    {
        foreach ($to->courses()->with('form')->get() as $course) {
            $before = Course::where('term_id', $from->id)->where('form_id', $course->form_id)->where('ordinal', $course->ordinal)->first();
            foreach ($before === null ? [] : KeptLesson::where('course_id', $before->id)->orderBy('created_at')->orderBy('id')->get() as $lesson) {
                $this->keep->copy($lesson, $course, (string) Str::uuid());
            }
        }
    }
}
