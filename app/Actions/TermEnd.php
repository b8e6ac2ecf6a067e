<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\Student;
use Gorvan\Core\Standing\Attendance;
use Gorvan\Core\Standing\GroupResult;
use Gorvan\Core\Standing\TermResult;
use Illuminate\Database\Eloquent\Collection;

/** What a term came to. */
final readonly class TermEnd
{
    /**
     * @param  string  $on  the day it is about
     * @param  list<Student>  $students  of the group, by name
     * @param  Collection<int, Course>  $courses  in their order
     * @param  array<string, array<string, TermResult>>  $results  by student and course
     * @param  array<string, GroupResult>  $groups  by course
     * @param  array<string, array{list<string>, string|null}>  $principles  by student: titles of those that hold, and of the one to carry on with
     * @param  array<string, Attendance>  $came  by student
     * @param  int  $classes  that the term had
     */
    public function __construct(
        public string $on,
        public array $students,
        public Collection $courses,
        public array $results,
        public array $groups,
        public array $principles,
        public array $came,
        public int $classes,
    ) {
    }

    /** @return list<string> principles that hold for at least half of the students */
    public function keeps(): array
    {
        $counted = array_count_values(array_merge([], ...array_column($this->principles, 0)));

        return array_map(strval(...), array_keys(array_filter($counted, fn (int $count): bool => 2 * $count >= count($this->students))));
    }

    /** The principle most of them carry on with; of several the one that comes first. */
    public function carry(): ?string
    {
        $counted = array_count_values(array_values(array_filter(array_column($this->principles, 1))));
        arsort($counted);
        $first = array_key_first($counted);

        return $first === null ? null : (string) $first;
    }
}
