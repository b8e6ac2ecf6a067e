<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\Student;
use Gorvan\Core\Standing\Attendance;
use Gorvan\Core\Standing\GroupResult;
use Gorvan\Core\Standing\KeepingResult;
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
     * @param  array<string, KeepingResult>  $principles  by student; none where the group works with none
     * @param  array<string, string>  $titles  of the principles, in the order of their set
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
        public array $titles,
        public array $came,
        public int $classes,
    ) {
    }

    /**
     * Titles of principles.
     *
     * @param  list<string>  $ids
     * @return list<string>
     */
    public function titled(array $ids): array
    {
        return array_values(array_intersect_key($this->titles, array_flip($ids)));
    }
}
