<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\LoggedClass;
use App\Models\Meeting;
use App\Models\PlacedForm;
use App\Models\Term;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Tracks;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\KnownEntry;
use Gorvan\Core\Term\LayoutCourse;
use Gorvan\Core\Term\LayoutRequest;
use Gorvan\Core\Term\TermLayout;
use Gorvan\Core\Term\TermMeeting;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use LogicException;

/**
 * Plans what is still open of a term: what was held, and what has gone by, stays as it was. It computes without holding
 * anything, and then writes what still fits.
 */
final class PlanTerm
{
    public function __construct(
        private readonly CurrentSchool $school,
        private readonly LessonCutter $cutter,
        private readonly TermLayout $layout,
        private readonly ReadStandings $standings,
        private readonly TaughtEntries $taught,
        private readonly MemoryModel $model = new MemoryModel,
    ) {
    }

    public function __invoke(Term $term): void
    {
        $today = $this->school->today();
        if ($term->ends_on < $today) {
            return;
        }
        $asked = $term->plan_asked;
        /** @var Collection<int, Meeting> $meetings */
        $meetings = $term->meetings()->orderBy('starts_at')->get();
        $logged = LoggedClass::whereIn('meeting_id', $meetings->pluck('id'))->pluck('id', 'meeting_id')->all();
        $courses = $this->courses($term, $today);
        // A meeting that was logged once keeps its plan, also when the log is taken back; so does one that has gone by.
        $isOpen = static fn (Meeting $meeting): bool => $meeting->on >= $today && ! isset($logged[$meeting->id]);
        $plan = $this->layout->lay(new LayoutRequest($this->days($meetings, $isOpen), $courses));
        $plans = $plan->meetings;
        // A term that began before it was laid has meetings that nobody ever planned: they get what would have been their plan.
        $isUnplanned = static fn (Meeting $meeting): bool => $meeting->on < $today && $meeting->plan === null && ! isset($logged[$meeting->id]);
        if ($meetings->contains($isUnplanned)) {
            $plans += $this->layout->lay(new LayoutRequest($this->days($meetings, $isUnplanned), $courses))->meetings;
        }
        DB::transaction(function () use ($term, $asked, $plans, $meetings, $plan): void {
            $now = Term::lockForUpdate()->find($term->id);
            if ($now === null || $now->plan_asked !== $asked) {
                return; // something changed meanwhile, and whoever changed it has asked again
            }
            $logged = LoggedClass::whereIn('meeting_id', $meetings->pluck('id'))->pluck('id', 'meeting_id')->all();
            foreach ($plans as $at => $planned) {
                $meeting = $meetings[$at] ?? null;
                if ($meeting !== null && ! isset($logged[$meeting->id])) {
                    Meeting::whereKey($meeting->id)->update(['plan' => $planned->json()]);
                }
            }
            $now->update([
                'plan_answered' => $asked,
                'planned_at' => now(),
                'warnings' => json_encode(array_map(static fn (Message $warning): array => $warning->toData(), $plan->warnings), JSON_THROW_ON_ERROR),
            ]);
        });
    }

    /** @return non-empty-list<LayoutCourse> */
    private function courses(Term $term, string $today): array
    {
        $students = array_values($term->group->students()->pluck('students.id')->all());
        $courses = [];
        foreach ($term->courses()->with('form.entries')->get() as $row) {
            /** @var Course $row */
            $placed = $row->form->placed();
            $course = $row->course($placed);
            $taught = ($this->taught)($term->group_id, $placed);
            $known = array_map(fn (array $tracks): array => $this->known($placed, $tracks, $today), array_values($this->standings->tracks($placed, $students, $today)));
            $courses[] = new LayoutCourse(
                $course,
                $this->cutter->kept($placed->form, $course->scope($taught->by(Day::number($term->starts_on) - 1, $placed->form)), $row->lessons()),
                $taught->by(Day::number($today), $placed->form),
                $known,
            );
        }

        return $courses === [] ? throw new LogicException("term $term->id has no course") : $courses;
    }

    /**
     * @param  array<string, Tracks>  $tracks  by the entry's id in the form
     * @return array<int, KnownEntry> by position
     */
    private function known(PlacedForm $placed, array $tracks, string $today): array
    {
        $known = [];
        foreach ($tracks as $entry => $of) {
            $position = $placed->form->positionOf((string) $entry);
            $weaker = KnownEntry::weakerOf($of, Day::number($today), $this->model);
            if ($position !== null && $weaker !== null) {
                $known[$position] = $weaker;
            }
        }

        return $known;
    }

    /**
     * @param  Collection<int, Meeting>  $meetings
     * @param  callable(Meeting): bool  $isOpen
     * @return list<TermMeeting>
     */
    private function days(Collection $meetings, callable $isOpen): array
    {
        return array_values($meetings->map(static fn (Meeting $meeting): TermMeeting => new TermMeeting($meeting->on, $meeting->minutes, $isOpen($meeting)))->all());
    }
}
