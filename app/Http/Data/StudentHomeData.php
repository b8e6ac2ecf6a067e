<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A student at home: the link they have, what they practised and what they asked. */
#[OA\Schema]
final readonly class StudentHomeData
{
    public function __construct(
        #[OA\Property]
        public ?LinkData $link,
        #[OA\Property]
        public HomeNotesData $notes,
    ) {
    }
}
