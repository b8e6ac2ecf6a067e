<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Principle\Bites;
use Gorvan\Core\Principle\FocusHistory;
use Gorvan\Core\Principle\PrincipleSet;

/** Where a group stands with the principles of its set when a term is planned. */
final readonly class FocusOutset
{
    /**
     * @param  array<string, Bites>  $bites  by course
     * @param  list<ExpectedStudent>  $students  what each remembers of the principles, by place in the set from 1; none: invented ones
     * @param  int  $most  principles a meeting
     * @param  array<string, Form>  $forms  by course, for what is said of their entries
     * @param  bool  $byFamily  whether a whole family is worked on, for a week
     */
    public function __construct(
        public PrincipleSet $set,
        public array $bites = [],
        public array $students = [],
        public FocusHistory $history = new FocusHistory,
        public int $most = 1,
        public array $forms = [],
        public bool $byFamily = false,
    ) {
    }
}
