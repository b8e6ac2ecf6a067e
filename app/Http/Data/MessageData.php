<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Something to be said: a code of the message catalogue, and what it is said with. */
#[OA\Schema]
final readonly class MessageData
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property(type: 'object', additionalProperties: true)]
        public object $with,
    ) {
    }
}
