<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\BodySize;

/** A student: where they stand, what is fading, what is missing, and what was noted of them. */
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
     * @param  BodySize|null  $size  beside the others
     * @param  StudentNameData|null  $sameAs  who this student turned out to be
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $on,
        public array $groups,
        public array $forms,
        public array $principles,
        public array $classes,
        public bool $isPaused,
        public bool $isOffList,
        public array $also,
        public ?StudentNameData $sameAs,
        public ?string $email,
        public ?BodySize $size,
    ) {
    }
}
