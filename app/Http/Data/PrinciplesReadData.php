<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** A set that was made of a file, and what the file says that is not used. */
#[OA\Schema]
final readonly class PrinciplesReadData
{
    /**
     * @param  list<Message>  $warnings
     */
    public function __construct(
        #[OA\Property]
        public PrincipleSetData $set,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $warnings,
    ) {
    }
}
