<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\GroupMember;
use App\Models\Student;
use Illuminate\Support\Facades\DB;

/** Puts students, by name, into a group. */
final class FillGroup
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    /**
     * @param  list<string>  $names
     * @return list<Student>
     */
    public function __invoke(Group $group, array $names, ?string $joinedOn = null): array
    {
        $most = config('gorvan.limits.students');

        return DB::transaction(function () use ($group, $names, $joinedOn, $most): array {
            if (GroupMember::where('group_id', $group->id)->count() + count($names) > $most) {
                throw Refused::because("A group has at most $most students.", 'students');
            }
            $students = [];
            foreach ($names as $name) {
                $student = Student::create(['name' => $name]);
                GroupMember::create(['group_id' => $group->id, 'student_id' => $student->id, 'joined_on' => $joinedOn ?? $this->school->today()]);
                $students[] = $student;
            }

            return $students;
        });
    }
}
