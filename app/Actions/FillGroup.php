<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\GroupMember;
use App\Models\Student;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Puts students, by name, into a group. A name that is in the school already is asked about. */
final class FillGroup
{
    public function __construct(private readonly CurrentSchool $school, private readonly ReplanGroup $replan)
    {
    }

    /**
     * @param  list<string>  $names
     * @param  array<string, string>  $same  the student a name is, where it was said to be one who is there
     * @param  list<string>  $others  names of people who are somebody else of the same name
     * @return list<Student> those who are in the group now and were not before
     *
     * @throws KnownNames and nothing is changed
     */
    public function __invoke(Group $group, array $names, ?string $joinedOn = null, array $same = [], array $others = []): array
    {
        $most = config('gorvan.limits.students');

        return DB::transaction(function () use ($group, $names, $joinedOn, $same, $others, $most): array {
            // The same list sent twice at once is one list; a log that refers to the group need not wait for it.
            Group::lock('for no key update')->findOrFail($group->id);
            if (GroupMember::where('group_id', $group->id)->whereNull('left_on')->count() + count($names) > $most) {
                throw Refused::because(Message::of('students.too_many', most: $most), 'students');
            }
            $this->askAbout(array_values(array_diff($names, array_keys($same), $others)));
            $added = [];
            foreach ($names as $name) {
                $student = isset($same[$name]) ? $this->known($same[$name]) : Student::create(['name' => $name]);
                if ($this->join($group, $student, $joinedOn ?? $this->school->today())) {
                    $added[] = $student;
                }
            }
            $this->replan->because($group->id, 'cause.joined', $added);

            return $added;
        });
    }

    /** @return bool whether they were not in it already */
    public function join(Group $group, Student $student, string $on): bool
    {
        Student::whereKey($student->id)->whereNotNull('off_list_at')->update(['off_list_at' => null]);
        GroupMember::where('group_id', $group->id)->where('student_id', $student->id)->where('is_paused', true)->update(['is_paused' => false]);
        if (GroupMember::where('group_id', $group->id)->where('student_id', $student->id)->whereNull('left_on')->exists()) {
            return false;
        }
        // Whoever left and comes back on one day never left.
        if (GroupMember::where('group_id', $group->id)->where('student_id', $student->id)->where('left_on', $on)->update(['left_on' => null]) > 0) {
            return true;
        }
        GroupMember::create(['group_id' => $group->id, 'student_id' => $student->id, 'joined_on' => $on]);

        return true;
    }

    /** @param  list<string>  $names @throws KnownNames */
    public function askAbout(array $names): void
    {
        $plain = array_values(array_unique(array_map(mb_strtolower(...), $names)));
        /** @var \Illuminate\Database\Eloquent\Collection<int, Student> $there */
        $there = $plain === [] ? Student::query()->whereRaw('false')->get() : Student::with('groups')->whereNull('same_as')->whereIn(DB::raw('lower(name)'), $plain)->orderBy('name')->get();
        $known = [];
        foreach (array_unique($names) as $name) {
            $students = [];
            foreach ($there as $one) {
                if (mb_strtolower($one->name) === mb_strtolower($name)) {
                    $students[] = ['id' => $one->id, 'name' => $one->name, 'groups' => array_values($one->groups->map(static fn (Group $group): string => $group->name)->all())];
                }
            }
            if ($students !== []) {
                $known[] = ['name' => $name, 'students' => $students];
            }
        }
        if ($known !== []) {
            throw new KnownNames($known);
        }
    }

    private function known(string $id): Student
    {
        return Student::whereNull('same_as')->find($id) ?? throw Refused::because(Message::of('students.not_here'), 'same');
    }
}
