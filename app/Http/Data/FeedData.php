<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** The private address of a group's calendar. */
#[OA\Schema]
final readonly class FeedData
{
    public function __construct(
        #[OA\Property]
        public string $address,
    ) {
    }
}
