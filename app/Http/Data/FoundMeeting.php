<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Meeting;
use OpenApi\Attributes as OA;

/** A class that was found. */
#[OA\Schema]
final readonly class FoundMeeting
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $on,
        #[OA\Property]
        public string $group,
    ) {
    }

    public static function of(Meeting $meeting): self
    {
        return new self($meeting->id, $meeting->on, $meeting->term->group->name);
    }
}
