<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What went wrong, as a sentence, and where. */
#[OA\Schema]
final readonly class ProblemData
{
    /** @param  list<string>  $problems  all that is wrong, where it is more than one thing */
    public function __construct(
        #[OA\Property]
        public string $message,
        #[OA\Property]
        public string $place,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $problems,
    ) {
    }
}
