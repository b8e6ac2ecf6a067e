<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What a student who is here has to catch up with. */
#[OA\Schema]
final readonly class NeedsData
{
    /**
     * @param  list<CatchUpData>  $catchUp  what tonight touches, the most needed first
     * @param  int  $minutes  of all of it
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CatchUpData::class))]
        public array $catchUp,
        #[OA\Property]
        public int $minutes,
    ) {
    }
}
