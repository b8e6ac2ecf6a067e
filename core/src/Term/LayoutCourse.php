<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Lesson\LessonCut;

/** A course as a layout takes it: its cut, what the group was taught of its form, and what each student remembers of it. */
final readonly class LayoutCourse
{
    /**
     * @param  list<int>  $taught  positions already given to the group
     * @param  list<array<int, KnownEntry>>  $roster  each expected student's memory by position
     */
    public function __construct(public Course $course, public LessonCut $cut, public array $taught, public array $roster)
    {
    }
}
