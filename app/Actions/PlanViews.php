<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\Meeting;
use App\Models\Term;
use Gorvan\Core\Term\Change\PlanView;
use Gorvan\Core\Term\Change\TermDraft;
use Gorvan\Core\Term\MeetingPlan;

/** The plan of a term as it stands, to be compared with another. */
final class PlanViews
{
    public function of(Term $term, TermDraft $draft): PlanView
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, Meeting> $meetings */
        $meetings = $term->meetings()->whereNotNull('plan')->get();

        return new PlanView($draft->meetings, array_filter($meetings->mapWithKeys(static fn (Meeting $meeting): array => [$meeting->id => $meeting->planned()])->all(), static fn (?MeetingPlan $plan): bool => $plan !== null), $term->forecasts());
    }

    /** @return array<string, string> titles of the forms by course, where there is more than one */
    public function titles(Term $term): array
    {
        $courses = $term->courses()->with('form')->get();

        return $courses->count() < 2 ? [] : $courses->mapWithKeys(static fn (Course $course): array => [$course->id => $course->form->title])->all();
    }
}
