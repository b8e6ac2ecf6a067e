<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/**
 * What one course asks of a meeting: its share of the middle, the minutes of its new work and its run-through, and what of
 * either, and of review, the teacher fixed. Where it is one of several, its title says whose the notes are.
 */
final readonly class CourseNeed
{
    public function __construct(
        public float $share,
        public float $newMinutes,
        public float $runThroughMinutes,
        public ?string $title = null,
        public int $mostRunThrough = PHP_INT_MAX,
        public ?int $fixedReview = null,
        public ?int $fixedNew = null,
        public ?int $fixedRun = null,
    ) {
    }
}
