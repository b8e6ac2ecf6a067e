<?php

declare(strict_types=1);

namespace App\Forms\Requests;

use App\Shared\Sent\Sent;

/** Of which course, or of none. */
final readonly class CourseQuery implements Sent
{
    public function __construct(
        public ?string $course = null,
    ) {
    }
}
