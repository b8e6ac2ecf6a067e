<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** How many lessons came in, and what was kept without being understood. */
#[OA\Schema]
final readonly class LessonsReadData
{
    /** @param  list<Message>  $warnings */
    public function __construct(
        #[OA\Property]
        public int $count,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $warnings,
    ) {
    }
}
