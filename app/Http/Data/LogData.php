<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What a class did hold, as it was sent. */
#[OA\Schema]
final readonly class LogData
{
    /** @param  object|null  $log  `gorvan.log/1` */
    public function __construct(
        #[OA\Property(type: 'object', nullable: true, additionalProperties: true)]
        public ?object $log,
        #[OA\Property]
        public ?string $madeAt,
    ) {
    }
}
