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
     * @param  float  $given  load that was given in this term already
     * @param  list<Passage>  $row  what was taught since a meeting that brought nothing new
     * @param  bool  $heldBack  the last meeting held the next lesson back for what the class remembers
     * @param  float  $reading  the school's factor by which recall is read (engine 19)
     * @param  array<string, list<string>>  $leadUps  titles of what leads up to an entry, by its id
     * @param  list<string>  $partners  entries that have a drill for two
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
        public float $given = 0.0,
        public bool $heldBack = false,
        public array $row = [],
        public array $leadUps = [],
        public array $partners = [],
    ) {
    }

    /** The load of new work that a usual evening takes in. */
    public function evening(): float
    {
        return $this->course->pace->load ?? $this->cut->target;
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
