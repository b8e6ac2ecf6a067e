<?php

declare(strict_types=1);

namespace App\Lessons\Requests;

use App\Shared\FileKind;
use App\Shared\Sent\Sent;

/** Of which course, and as what, lessons are written. */
final readonly class LessonsFileQuery implements Sent
{
    public function __construct(
        public ?string $course = null,
        public ?FileKind $as = null,
    ) {
    }
}
