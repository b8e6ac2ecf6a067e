<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Form\EntryLoad;

/** A form cut into lessons, with everything the cut was decided by. */
final readonly class LessonCut
{
    /**
     * @param  list<EntryLoad>  $loads
     * @param  list<JoinRest>  $joins
     * @param  list<Lesson>  $lessons
     */
    public function __construct(
        public float $target,
        public float $lambda,
        public float $objective,
        public array $loads,
        public array $joins,
        public array $lessons,
    ) {
    }

    public function totalLoad(): float
    {
        return array_sum(array_map(static fn (EntryLoad $load): float => $load->load, $this->loads));
    }
}
