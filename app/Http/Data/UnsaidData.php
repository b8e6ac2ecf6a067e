<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A meeting that has gone by, of which nobody has said what it held. */
#[OA\Schema]
final readonly class UnsaidData
{
    public function __construct(
        #[OA\Property]
        public string $meetingId,
        #[OA\Property]
        public string $groupName,
        #[OA\Property]
        public string $on,
    ) {
    }
}
