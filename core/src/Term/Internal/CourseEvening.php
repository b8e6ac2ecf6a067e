<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Form\Passage;
use Gorvan\Core\Term\CourseMinutes;

/**
 * What a course does at a meeting, as the simulated class meets it.
 *
 * @internal
 */
final readonly class CourseEvening
{
    /**
     * @param  list<QueuedLesson>  $lessons
     * @param  list<Passage>  $practised
     * @param  list<int>  $runThrough  positions
     * @param  bool  $isHeldBack  the next lesson, for what the class remembers
     * @param  bool  $isJoin  it joins what was taught since the last evening that did
     * @param  bool  $isOwn  it is the course's turn; where it is not, it is only run through
     */
    public function __construct(public array $lessons, public array $practised, public array $runThrough, public CourseMinutes $minutes, public bool $isHeldBack = false, public bool $isOwn = true, public bool $isJoin = false)
    {
    }
}
