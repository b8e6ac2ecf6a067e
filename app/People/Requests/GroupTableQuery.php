<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\People\GroupTable;
use App\Shared\Sent\Sent;

/** Which table of a group is written. */
final readonly class GroupTableQuery implements Sent
{
    public function __construct(
        public GroupTable $of,
    ) {
    }
}
