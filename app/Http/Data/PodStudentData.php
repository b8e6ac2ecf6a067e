<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A student in a pod. */
final readonly class PodStudentData
{
    /**
     * @param  int|null  $frontier  position up to which they are secure
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?int $frontier,
    ) {
    }
}
