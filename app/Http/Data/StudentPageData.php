<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\BodySize;
use OpenApi\Attributes as OA;

/** A student: where they stand, what is fading, what is missing, and what was noted of them. */
#[OA\Schema]
final readonly class StudentPageData
{
    /**
     * @param  list<StudentFormData>  $forms  of the groups they are in
     * @param  list<StudentGroupData>  $groups
     * @param  list<StudentKeepingsIn>  $principles
     * @param  list<StudentClassData>  $classes  the latest first
     * @param  bool  $isPaused  away for a while, and comes back to the groups they were in
     * @param  list<StudentNameData>  $also  who else on record is this student
     * @param  string|null  $email  for whoever keeps the people; null for others too
     * @param  string|null  $size  beside the others
     * @param  StudentNameData|null  $sameAs  who this student turned out to be
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $on,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentGroupData::class))]
        public array $groups,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentFormData::class))]
        public array $forms,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentKeepingsIn::class))]
        public array $principles,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentClassData::class))]
        public array $classes,
        #[OA\Property]
        public bool $isPaused,
        #[OA\Property]
        public bool $isOffList,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentNameData::class))]
        public array $also,
        #[OA\Property]
        public ?StudentNameData $sameAs,
        #[OA\Property]
        public ?string $email,
        #[OA\Property(type: 'string', enum: BodySize::class, nullable: true)]
        public ?string $size,
    ) {
    }
}
