<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Lesson\LessonCut;

/** Everything a layout of a term is decided by. */
final readonly class LayoutRequest
{
    /**
     * @param  list<TermMeeting>  $meetings  the whole term in order; those not open stay as they were
     * @param  list<int>  $taught  positions already given to the group
     * @param  list<array<int, KnownEntry>>  $roster  each expected student's memory by position
     */
    public function __construct(
        public Form $form,
        public LessonCut $cut,
        public array $meetings,
        public array $taught,
        public array $roster,
        public Approach $approach,
    ) {
    }
}
