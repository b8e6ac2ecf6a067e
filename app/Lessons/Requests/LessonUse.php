<?php

declare(strict_types=1);

namespace App\Lessons\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** For which course a lesson is used again. */
final readonly class LessonUse implements Sent
{
    public function __construct(
        #[Rules('uuid')]
        public string $id,
        #[Rules('uuid')]
        public ?string $course,
    ) {
    }
}
