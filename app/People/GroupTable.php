<?php

declare(strict_types=1);

namespace App\People;

/** What a group is written as a table of. */
enum GroupTable: string
{
    case Standings = 'standings';

    case Attendance = 'attendance';
}
