<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A group with the standing of everyone in it. */
final readonly class GroupData
{
    /**
     * @param  list<int>  $taught
     * @param  list<StudentData>  $students
     * @param  list<LessonTakenData>  $lessons  those given, as this group has them
     * @param  string|null  $course  in which course the group learns it; null before its first term
     * @param  int|null  $lessonsLeft  of which something was not given; null where no term is laid, or nothing new is to come
     */
    public function __construct(
        public GroupSummary $group,
        public string $on,
        public FormRefData $form,
        public ?string $course,
        public array $taught,
        public ?PassageData $nextRecap,
        public ?int $nextLesson,
        public array $students,
        public ?GroupPrinciplesData $principles,
        public array $lessons,
        public ?int $lessonsLeft,
    ) {
    }
}
