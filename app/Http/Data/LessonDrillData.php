<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A drill that leads up to a lesson, in the order in which they can be done. */
final readonly class LessonDrillData
{
    public function __construct(
        public string $id,
        public string $title,
        public ?int $parent,
        public ?string $text,
    ) {
    }
}
