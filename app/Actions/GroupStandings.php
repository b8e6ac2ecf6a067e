<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use App\Models\PlacedForm;
use App\Models\Student;
use Gorvan\Core\Standing\StudentStanding;

/** Where everyone in a group stands in a form on a day, by name. */
final class GroupStandings
{
    public function __construct(private readonly ReadStandings $standings)
    {
    }

    /**
     * @param  string  $on  the day `Y-m-d`
     * @param  list<string>|null  $only  student ids, or null for everyone
     * @param  list<string>|null  $entries  rows of the entries that matter, or null for all
     * @param  list<string>  $also  students beside them: guests of a class
     * @return list<array{Student, StudentStanding}>
     */
    public function __invoke(Group $group, PlacedForm $form, string $on, ?array $only = null, ?array $entries = null, array $also = []): array
    {
        $members = $group->loadMissing('students')->students;
        $students = ($also === [] ? $members : $members->merge(Student::whereIn('id', $also)->get()))->sortBy('name', SORT_NATURAL | SORT_FLAG_CASE)
            ->filter(static fn (Student $student): bool => $only === null || in_array($student->id, $only, true));
        $standings = ($this->standings)($form, array_values($students->pluck('id')->all()), $on, $entries);

        return array_values($students->map(static fn (Student $student): array => [$student, $standings[$student->id]])->all());
    }
}
