<?php

declare(strict_types=1);

namespace App\Classes\Requests;

use App\Shared\Sent\Sent;

/** Whether the room of a group is cold. */
final readonly class RoomCold implements Sent
{
    public function __construct(
        public bool $isCold,
    ) {
    }
}
