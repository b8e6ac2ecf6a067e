<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** Everything a plan of a term is decided by. */
final readonly class TermRequest
{
    /**
     * @param  list<TermMeeting>  $meetings  the whole term in order; those not open stay as they were, cancelled ones are not among them
     * @param  non-empty-list<CourseOutset>  $courses  all with the same students
     * @param  FocusOutset|null  $focus  null where the group has no principles
     * @param  WarmUpOutset|null  $warmUps  null where there are none to choose from
     */
    public function __construct(public string $seed, public array $meetings, public array $courses, public ?FocusOutset $focus = null, public ?WarmUpOutset $warmUps = null)
    {
    }
}
