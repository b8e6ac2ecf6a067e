<?php

declare(strict_types=1);

namespace App\People;

/** As what a record of a student is written. */
enum RecordKind: string
{
    case Json = 'json';

    case Html = 'html';
}
