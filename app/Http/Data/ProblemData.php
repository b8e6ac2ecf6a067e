<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What went wrong, as a sentence, and where. */
#[OA\Schema]
final readonly class ProblemData
{
    public function __construct(
        #[OA\Property]
        public string $message,
        #[OA\Property]
        public string $place,
    ) {
    }
}
