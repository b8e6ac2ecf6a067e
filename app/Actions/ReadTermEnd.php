<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\GroupMember;
use App\Models\LoggedClass;
use App\Models\Principle;
use App\Models\Student;
use App\Models\Term;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Standing\Attendance;
use Gorvan\Core\Standing\Fading;
use Gorvan\Core\Standing\GroupResult;
use Gorvan\Core\Standing\KeepingResult;
use Gorvan\Core\Standing\StudentStanding;
use Gorvan\Core\Standing\TermResult;

/** What a term came to, for each student and for the group: as known today about its last day, or about today where it still runs. */
final class ReadTermEnd
{
    public function __construct(private readonly CurrentSchool $school, private readonly ReadStandings $standings, private readonly TaughtEntries $taught, private readonly GroupKeepings $keepings)
    {
    }

    public function __invoke(Term $term): TermEnd
    {
        $on = min($term->ends_on, $this->school->today());
        $group = $term->group;
        $students = array_values($group->loadMissing('principles.principles')->byName()->all());
        $ids = array_map(static fn (Student $one): string => $one->id, $students);
        $model = $this->school->get()->memory();
        $results = $groups = [];
        $keepings = null;
        /** @var \Illuminate\Database\Eloquent\Collection<int, Course> $courses */
        $courses = $term->courses()->with('form')->get();
        foreach ($courses as $course) {
            $placed = $course->form->placed();
            $taught = $this->taught->by($group->id, $placed, $on);
            // Their principles are read along with the first form.
            if ($keepings === null) {
                [$tracks, $principles] = $this->standings->both($placed, $ids, GroupKeepings::principles($group), $on);
                $keepings = $this->keepings->of($group, $principles, $on);
            } else {
                $tracks = $this->standings->tracks($placed, $ids, $on);
            }
            $all = [];
            foreach ($ids as $id) {
                $all[] = $standing = StudentStanding::of($placed->form, $tracks[$id] ?? [], Day::number($on), $model);
                $results[$id][$course->id] = TermResult::of($placed->form, $standing, $taught, Fading::of($placed->form, $tracks[$id] ?? [], $standing, $model));
            }
            $groups[$course->id] = GroupResult::of($placed->form, $all, $taught, array_map(static fn (array $lesson): array => $placed->form->positionsOf($lesson), $course->lessons()));
        }
        [$came, $classes] = $this->attendance($term, $students);
        $titles = $group->principles === null ? [] : $group->principles->principles->mapWithKeys(static fn (Principle $one): array => [$one->id => $one->title])->all();

        return new TermEnd($on, $students, $courses, $results, $groups, array_map(KeepingResult::of(...), $keepings ?? []), $titles, $came, $classes);
    }

    /**
     * @param  list<Student>  $students
     * @return array{array<string, Attendance>, int} by student, and how many classes the term had
     */
    private function attendance(Term $term, array $students): array
    {
        $joined = GroupMember::where('group_id', $term->group_id)->whereNull('left_on')->pluck('joined_on', 'student_id');
        $classes = array_values(LoggedClass::standing()->whereIn('meeting_id', $term->meetings()->select('id'))->get()->map(static fn (LoggedClass $one): array => [$one->on, $one->log()->there()])->all());
        $came = [];
        foreach ($students as $student) {
            $came[$student->id] = Attendance::of($classes, $student->records(), (string) ($joined[$student->id] ?? $term->starts_on));
        }

        return [$came, count($classes)];
    }
}
