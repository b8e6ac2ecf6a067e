<?php

declare(strict_types=1);

namespace App\Lessons\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** A file of lessons. */
final readonly class LessonsFileText implements Sent
{
    public function __construct(
        #[Rules('required', 'max:3000000')]
        public string $text,
        #[Rules('uuid')]
        public ?string $course = null,
    ) {
    }
}
