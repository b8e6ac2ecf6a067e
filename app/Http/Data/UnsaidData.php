<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A meeting that has gone by, of which nobody has said what it held. */
final readonly class UnsaidData
{
    public function __construct(
        public string $meetingId,
        public string $groupName,
        public string $on,
    ) {
    }
}
