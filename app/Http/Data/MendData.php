<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** What would put a finding right: a few words, and the edits. */
#[OA\Schema]
final readonly class MendData
{
    /** @param  list<array<string, mixed>>  $edits */
    public function __construct(
        #[OA\Property(ref: MessageData::class)]
        public Message $says,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'object', additionalProperties: true))]
        public array $edits,
    ) {
    }
}
