<?php

declare(strict_types=1);

namespace App\School\Requests;

use App\Models\SchoolLocale;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** A school as it is called, and how it writes days and numbers. */
final readonly class SchoolChange implements Sent
{
    public function __construct(
        #[Rules('max:120')]
        public string $name,
        public SchoolLocale $locale,
    ) {
    }
}
