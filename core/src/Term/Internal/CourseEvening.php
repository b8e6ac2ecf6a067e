<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Form\Passage;

/**
 * What a course does at a meeting, as the simulated class meets it.
 *
 * @internal
 */
final readonly class CourseEvening
{
    /**
     * @param  list<QueuedLesson>  $lessons
     * @param  list<Passage>  $review
     * @param  array<string, int>  $minutes  by box
     */
    public function __construct(public array $lessons, public ?Passage $recap, public ?Passage $joined, public array $review, public ?Passage $runThrough, public array $minutes)
    {
    }

    /** @return list<Passage> */
    public function practised(): array
    {
        return [...array_values(array_filter([$this->recap, $this->joined])), ...$this->review];
    }
}
