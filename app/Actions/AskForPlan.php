<?php

declare(strict_types=1);

namespace App\Actions;

use App\Jobs\PlanTermJob;
use App\Models\CurrentSchool;
use App\Models\GroupMember;
use App\Models\Student;
use App\Models\Term;
use Gorvan\Core\Reading\Message;

/**
 * Asks for a term to be planned again, in the background, once what is being written is there. Until then its old plan is
 * shown as such. A term that is over is never planned again.
 */
final class AskForPlan
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    /**
     * Takes the terms that a transaction will ask a plan for, before it takes any student: whoever logs a class takes its term
     * and then those who were there, and two that do it the other way round would wait for each other for ever.
     *
     * @param  list<string>  $groups
     */
    public function hold(array $groups): void
    {
        Term::whereIn('group_id', $groups)->where('ends_on', '>=', $this->school->today())->orderBy('id')->lock('for no key update')->toBase()->pluck('id');
    }

    /** The same for all groups that some students are or were in. */
    public function holdOf(Student ...$students): void
    {
        $this->hold(array_values(GroupMember::whereIn('student_id', array_column($students, 'id'))->distinct()->pluck('group_id')->all()));
    }

    public function __invoke(Term $term, Message $cause): void
    {
        if ($term->ends_on < $this->school->today()) {
            return;
        }
        Term::whereKey($term->id)->increment('plan_asked', 1, ['plan_cause' => json_encode($cause, JSON_THROW_ON_ERROR)]);
        PlanTermJob::dispatch($term->school_id, $term->id);
    }
}
