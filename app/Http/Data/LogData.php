<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Shared\Description\AsData;
use Gorvan\Core\Record\ClassLog;

/** What a class did hold, as it was sent. */
final readonly class LogData
{
    /** @param  object|null  $log  `gorvan.log/1` */
    public function __construct(
        #[AsData(ClassLog::class)]
        public ?object $log,
        public ?string $madeAt,
    ) {
    }
}
