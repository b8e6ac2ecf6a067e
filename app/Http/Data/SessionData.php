<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Whether someone is signed in, and whether this installation still needs a school. */
#[OA\Schema]
final readonly class SessionData
{
    public function __construct(
        #[OA\Property]
        public bool $needsFounding,
        #[OA\Property]
        public ?PersonData $person,
        #[OA\Property]
        public ?SchoolData $school,
    ) {
    }
}
