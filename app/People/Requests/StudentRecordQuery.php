<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\People\RecordKind;
use App\Shared\Sent\Sent;

/** As what a record is written. */
final readonly class StudentRecordQuery implements Sent
{
    public function __construct(
        public ?RecordKind $as = null,
    ) {
    }
}
