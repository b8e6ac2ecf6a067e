<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\Meeting;
use App\Models\PlacedForm;
use App\Models\Student;
use App\Models\Term;
use Gorvan\Core\Care\Spared;
use Gorvan\Core\Practice\GroupSheet;
use Gorvan\Core\Practice\HomeCourse;
use Gorvan\Core\Practice\HomeRequest;
use Gorvan\Core\Practice\HomeStudent;
use Gorvan\Core\Practice\PracticeRequest;
use Gorvan\Core\Practice\PracticeSheet;
use Gorvan\Core\Principle\Principle;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Record\Doing;
use Gorvan\Core\Record\DoingKind;
use Gorvan\Core\Term\PlannedFocus;

/** What the students of a group take home from their last class: each their own passages, and the focus of the week. */
final class ReadPractice
{
    /** Days to the next class, where none is laid (engine 7). */
    private const A_WEEK = 7;

    public function __construct(private readonly CurrentSchool $school, private readonly ReadStandings $standings, private readonly ReadCare $care)
    {
    }

    /**
     * @param  list<string>|null  $only  students; null for everyone in the group
     * @return HomeWeek|null  null while the group had no class
     */
    public function __invoke(Group $group, ?array $only = null): ?HomeWeek
    {
        $after = $this->lastMeeting($group);
        if ($after === null) {
            return null;
        }
        $next = $this->nextMeeting($group, $after->on);
        /** @var array<string, PlacedForm> $forms */
        $forms = $after->term->courses()->with('form')->get()->mapWithKeys(static fn (Course $course): array => [$course->id => $course->form->placed()])->all();
        $plan = $next?->planned();
        /** @var \Illuminate\Database\Eloquent\Collection<int, Student> $members */
        $members = $group->students()->when($only !== null, static fn ($some) => $some->whereIn('students.id', $only ?? []))->get();
        $students = array_values($members->sortBy('name', SORT_NATURAL | SORT_FLAG_CASE)->all());
        $ids = array_map(static fn (Student $student): string => $student->id, $students);
        $tracks = array_map(fn (PlacedForm $form): array => $this->standings->tracks($form, $ids, $after->on), $forms);
        $noted = $this->care->noted($ids);
        $model = $this->school->get()->memory();
        $on = Day::number($after->on);
        $week = $next === null ? $on + self::A_WEEK : Day::number($next->on);
        $sheets = $all = $asked = [];
        foreach ($students as $student) {
            $courses = array_map(static fn (string $course): HomeCourse => new HomeCourse($course, $forms[$course]->form, $tracks[$course][$student->id] ?? [], $plan?->course($course)->recap ?? []), array_map(strval(...), array_keys($forms)));
            $own = $all[$student->id] = new HomeStudent($courses, Spared::on(Day::text($on + 1), $noted[$student->id] ?? []));
            $asked[$student->id] = HomeRequest::of($own->courses, $own->spared, $on, $week, self::minutes($group), self::days($group), $model);
            $sheets[] = new StudentSheet($student, PracticeSheet::asked($own->courses, $asked[$student->id], $week, $model));
        }

        // A sheet for all is for a teacher; whoever asks for one student alone gets none.
        $together = $only !== null || $all === [] ? null : GroupSheet::asked($all, $asked, $week, $model);

        return new HomeWeek($after->on, Day::text($week), self::minutes($group), self::days($group), $forms, $sheets, $this->focus($group, $after), $together);
    }

    public static function minutes(Group $group): float
    {
        return $group->practice_minutes ?? PracticeRequest::MINUTES;
    }

    public static function days(Group $group): int
    {
        return $group->practice_days ?? PracticeRequest::DAYS;
    }

    /** The last one that has begun or is logged: what tonight will be is not taken home yet. */
    private function lastMeeting(Group $group): ?Meeting
    {
        /** @var Meeting|null $last */
        $last = Meeting::with('term')->where(static fn ($either) => $either->where('starts_at', '<=', now())->orWhereHas('logs', static fn ($logs) => $logs->standing()))->where('state', '<>', 'cancelled')->whereIn('term_id', Term::where('group_id', $group->id)->select('id'))->orderByDesc('starts_at')->first();

        return $last;
    }

    private function nextMeeting(Group $group, string $on): ?Meeting
    {
        return Meeting::where('on', '>', $on)->where('state', '<>', 'cancelled')->whereIn('term_id', Term::where('group_id', $group->id)->select('id'))->orderBy('starts_at')->first();
    }

    /**
     * What the week is about: what the class worked on, or was meant to.
     *
     * @return list<Principle>
     */
    private function focus(Group $group, Meeting $after): array
    {
        $did = $after->standingLog()?->log()->did;
        $ids = $did === null
            ? array_map(static fn (PlannedFocus $one): string => $one->principle, $after->planned()->focus ?? [])
            : array_merge([], ...array_map(static fn (Doing $doing): array => $doing->what === DoingKind::Focus ? $doing->principles : [], $did));
        $set = $ids === [] ? null : $group->principles?->placed()->recorded();

        return array_values(array_filter(array_map(static fn (string $id): ?Principle => $set?->principle($id), array_unique($ids))));
    }
}
