<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\LessonCut;

/** Where a course stands when it is planned: its cut, what the group was given of it, and what each student remembers. */
final readonly class CourseOutset
{
    /**
     * @param  list<int>  $taught  positions already given to the group
     * @param  list<int>  $detailed  positions given a second time, in detail
     * @param  list<ExpectedStudent>  $students
     * @param  Passage|null  $lastLesson  what was taught last
     * @param  int  $inARow  lessons given since a meeting that brought nothing new
     * @param  list<int>  $learned  positions the group was taught before this course
     * @param  list<int>  $firstNext  positions the last class said to begin with
     * @param  float  $reading  the school's factor by which recall is read (engine 19)
     */
    public function __construct(
        public Course $course,
        public LessonCut $cut,
        public array $taught,
        public array $students,
        public array $detailed = [],
        public ?Passage $lastLesson = null,
        public int $inARow = 0,
        public array $learned = [],
        public array $firstNext = [],
        public float $reading = 1.0,
    ) {
    }

    /**
     * The same with some properties changed. Pure.
     *
     * @param  array<string, mixed>  $changes  by the names of the properties
     */
    public function with(array $changes): self
    {
        return new self(...[...get_object_vars($this), ...$changes]); // @phpstan-ignore argument.type
    }
}
