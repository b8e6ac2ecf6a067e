<?php

declare(strict_types=1);

namespace App\Shared;

/** As what something is written. */
enum FileKind: string
{
    case Json = 'json';

    case Csv = 'csv';
}
