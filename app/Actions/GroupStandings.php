<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use App\Models\PlacedForm;
use App\Models\Student;
use Gorvan\Core\Standing\KeepingStanding;
use Gorvan\Core\Standing\StudentStanding;
use Illuminate\Database\Eloquent\Collection;

/** Where everyone in a group stands in a form on a day, by name. */
final class GroupStandings
{
    public function __construct(private readonly ReadStandings $standings, private readonly GroupKeepings $keepings)
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
        $students = $group->byName($also)->filter(static fn (Student $student): bool => $only === null || in_array($student->id, $only, true));
        $standings = ($this->standings)($form, array_values($students->modelKeys()), $on, $entries);

        return self::each($students, $standings);
    }

    /**
     * And where they stand in its principles, from the same reading.
     *
     * @param  string  $on  the day `Y-m-d`
     * @param  list<string>  $also  students beside its members: guests of a class
     * @return array{list<array{Student, StudentStanding}>, array<string, array<string, KeepingStanding>>} {@see GroupKeepings}
     */
    public function withKeepings(Group $group, PlacedForm $form, string $on, array $also = []): array
    {
        $students = $group->byName($also);
        [$entries, $principles] = $this->standings->both($form, array_values($students->modelKeys()), GroupKeepings::principles($group), $on);

        return [self::each($students, $this->standings->in($form, $entries, $on)), $this->keepings->of($group, $principles, $on)];
    }

    /**
     * @param  Collection<int, Student>  $students
     * @param  array<string, StudentStanding>  $standings
     * @return list<array{Student, StudentStanding}>
     */
    private static function each(Collection $students, array $standings): array
    {
        return array_values($students->map(static fn (Student $student): array => [$student, $standings[$student->id]])->all());
    }
}
