<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\Meeting;
use App\Models\PlacedForm;
use App\Models\Term;
use Gorvan\Core\Term\CoursePlan;

/** Finds what a group learns next. */
final class NextLesson
{
    /** How far ahead it is looked for. */
    private const MEETINGS_AHEAD = 8;

    public function __construct(private readonly CurrentSchool $school)
    {
    }

    /** What is planned of the group's form at the first meeting to come that brings something new. */
    public function __invoke(Group $group, PlacedForm $placed): ?CoursePlan
    {
        $meetings = Meeting::with('term.courses')->where('on', '>=', $this->school->today())->where('state', '<>', 'cancelled')->whereIn('term_id', Term::where('group_id', $group->id)->select('id'))
            ->whereDoesntHave('logs', static fn ($logs) => $logs->standing())->orderBy('starts_at')->limit(self::MEETINGS_AHEAD)->get();
        foreach ($meetings as $meeting) {
            $course = $meeting->term->courses->firstWhere('form_id', $placed->id);
            $part = $course === null ? null : $meeting->planned()?->course($course->id);
            if ($part !== null && $part->given() !== []) {
                return $part;
            }
        }

        return null;
    }
}
