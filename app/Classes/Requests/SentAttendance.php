<?php

declare(strict_types=1);

namespace App\Classes\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** Who is here. */
final readonly class SentAttendance implements Sent
{
    /** @param  array<string, AttendanceNote>  $attendance  by student */
    public function __construct(
        #[Rules('required', 'max:200')]
        public array $attendance,
    ) {
    }
}
