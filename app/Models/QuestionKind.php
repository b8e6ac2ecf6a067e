<?php

declare(strict_types=1);

namespace App\Models;

/** What can be asked about a plan. */
enum QuestionKind: string
{
    /** What gates and rhythm cost. */
    case Costs = 'costs';

    /** The furthest movement that holds at the showing. */
    case Furthest = 'furthest';

    /** The fewest extra meetings the target needs. */
    case Meetings = 'meetings';

    /** The fewest extra minutes a meeting the target needs. */
    case Minutes = 'minutes';

    /** The slowest pace the target needs. */
    case Pace = 'pace';

    /** Up to three plans of the same term. */
    case Compare = 'compare';

    /** What a lesson would cost on each other evening. */
    case Places = 'places';
}
