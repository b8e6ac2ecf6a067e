<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A group with the standing of everyone in it. */
#[OA\Schema]
final readonly class GroupData
{
    /**
     * @param  list<int>  $taught
     * @param  list<StudentData>  $students
     * @param  list<LessonTakenData>  $lessons  those given, as this group has them
     */
    public function __construct(
        #[OA\Property]
        public GroupSummary $group,
        #[OA\Property]
        public string $on,
        #[OA\Property]
        public FormRefData $form,
        #[OA\Property(description: 'in which course the group learns it; null before its first term')]
        public ?string $course,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $taught,
        #[OA\Property]
        public ?PassageData $nextRecap,
        #[OA\Property]
        public ?int $nextLesson,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentData::class))]
        public array $students,
        #[OA\Property]
        public ?GroupPrinciplesData $principles,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LessonTakenData::class))]
        public array $lessons,
        #[OA\Property(description: 'of which something was not given; null where no term is laid, or nothing new is to come')]
        public ?int $lessonsLeft,
    ) {
    }
}
