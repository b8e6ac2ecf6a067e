<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Form\EntryLoad;
use Gorvan\Core\Form\Passage;

/** A form cut into lessons, with everything the cut was decided by. */
final readonly class LessonCut
{
    /**
     * @param  list<EntryLoad>  $loads
     * @param  list<JoinRest>  $joins
     * @param  list<Lesson>  $lessons
     * @param  Passage  $passage  what was cut
     */
    public function __construct(
        public float $target,
        public float $lambda,
        public float $objective,
        public array $loads,
        public array $joins,
        public array $lessons,
        public Passage $passage,
    ) {
    }

    /** Of the passage that was cut. */
    public function totalLoad(): float
    {
        return $this->loadOf($this->passage);
    }

    public function loadOf(Passage $passage): float
    {
        return array_sum(array_map(static fn (EntryLoad $load): float => $load->load, array_slice($this->loads, $passage->from - 1, $passage->to - $passage->from + 1)));
    }
}
