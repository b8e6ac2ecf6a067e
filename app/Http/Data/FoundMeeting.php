<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Meeting;

/** A class that was found. */
final readonly class FoundMeeting
{
    public function __construct(
        public string $id,
        public string $on,
        public string $group,
    ) {
    }

    public static function of(Meeting $meeting): self
    {
        return new self($meeting->id, $meeting->on, $meeting->term->group->name);
    }
}
