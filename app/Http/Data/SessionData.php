<?php

declare(strict_types=1);

namespace App\Http\Data;

/** Whether someone is signed in, and whether this installation still needs a school. */
final readonly class SessionData
{
    public function __construct(
        public bool $needsFounding,
        public ?PersonData $person,
        public ?SchoolData $school,
    ) {
    }
}
