<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** A state a form was in: who made it, when, and what changed. */
#[OA\Schema]
final readonly class VersionData
{
    /** @param  list<Message>  $what */
    public function __construct(
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public ?string $by,
        #[OA\Property]
        public string $at,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $what,
        /** Whether whoever asks made it. */
        #[OA\Property]
        public bool $isMine,
    ) {
    }
}
