<?php

declare(strict_types=1);

namespace App\Shared\Sent;

/** What stands for a value that was not sent, where leaving it out is something else than sending none. */
enum Unsaid
{
    case Unsaid;
}
