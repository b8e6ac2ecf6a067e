<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course as CourseRow;
use App\Models\Group;
use App\Models\LoggedClass;
use App\Models\PlacedForm;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Record\DoingKind;
use Gorvan\Core\Term\Course;
use Gorvan\Core\Term\LearnedPace;
use Gorvan\Core\Term\LessonKind;

/** A course with the minutes a unit of load takes its group, as the group's own lessons have shown. */
final class PacedCourse
{
    /** Of so many classes that taught something of the form the minutes are read: enough for six lessons of either round. */
    private const CLASSES = 30;

    public function __construct(private readonly LessonCutter $cutter, private readonly TaughtEntries $taught)
    {
    }

    public function __invoke(CourseRow $row, PlacedForm $placed): Course
    {
        $row->loadMissing('term.group');
        $course = $row->course($placed);

        return $this->paced($row->term->group, $placed, $course, $row->kept($this->cutter, $placed, $this->learned($row, $placed)));
    }

    /** @return list<int> positions the group was taught before the course's term */
    public function learned(CourseRow $row, PlacedForm $placed): array
    {
        return $this->taught->by($row->term->group_id, $placed, Day::text(Day::number($row->term->starts_on) - 1));
    }

    public function paced(Group $group, PlacedForm $placed, Course $course, LessonCut $cut): Course
    {
        $taught = $this->lessons($group, $placed, $cut);
        $first = $course->approach->firstRound();
        $paces = [$first->value => LearnedPace::of($course->approach->minutesPerLoad($first), $taught['new'])];

        return $course->with(['paces' => [...$paces, LessonKind::Detail->value => LearnedPace::of($course->approach->minutesPerLoad(LessonKind::Detail), $taught['detail'])]]);
    }

    /**
     * The lessons of a form whose minutes somebody said, by round: what was given before is given in detail. A log that leaves the
     * plan's figures as they were teaches nothing, nor does what was over and went to new work.
     *
     * @return array{new: list<array{minutes: float, load: float}>, detail: list<array{minutes: float, load: float}>}
     */
    private function lessons(Group $group, PlacedForm $placed, LessonCut $cut): array
    {
        $lessons = ['new' => [], 'detail' => []];
        $before = $this->firstTaught($group->id, $placed);
        /** @var \Illuminate\Database\Eloquent\Collection<int, LoggedClass> $logs */
        $logs = LoggedClass::standing()->where('group_id', $group->id)->whereNotNull('meeting_id')
            ->whereRaw('exists (select from unnest(taught) t where starts_with(t, ?))', ["$placed->id/"])
            ->when($group->pace_since !== null, static fn ($since) => $since->where('received_at', '>', $group->pace_since))
            ->orderByDesc('on')->orderByDesc('made_at')->limit(self::CLASSES)->get();
        foreach ($logs->reverse() as $log) {
            foreach ($log->log()->did as $doing) {
                $passage = $doing->what === DoingKind::Taught && $doing->form === $placed->id && $doing->minutes !== null && ! $doing->isAsPlanned ? $placed->form->passageOf($doing->entries) : null;
                if ($passage !== null) {
                    $isFresh = ($before[$doing->entries[0]] ?? $log->on) >= $log->on;
                    $lessons[$isFresh ? 'new' : 'detail'][] = ['minutes' => (float) $doing->minutes, 'load' => $cut->loadOf($passage)];
                }
            }
        }

        return $lessons;
    }

    /** @return array<string, string> the day on which each entry was taught first, by the form's own id */
    private function firstTaught(string $group, PlacedForm $placed): array
    {
        $first = [];
        foreach (LoggedClass::standing()->where('group_id', $group)->toBase()->selectRaw('unnest(taught) as entry, min("on") as first')->groupBy('entry')->get() as $row) {
            if (str_starts_with($row->entry, "$placed->id/")) {
                $first[substr($row->entry, strlen($placed->id) + 1)] = $row->first;
            }
        }

        return $first;
    }
}
