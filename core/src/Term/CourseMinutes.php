<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** The whole minutes one course has in a meeting. */
final readonly class CourseMinutes
{
    public function __construct(public int $review, public int $new, public int $runThrough)
    {
    }
}
