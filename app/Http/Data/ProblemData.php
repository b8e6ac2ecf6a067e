<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What went wrong, and where. */
#[OA\Schema]
final readonly class ProblemData
{
    /**
     * @param  list<MessageData>  $problems  all that is wrong, where it is more than one thing
     * @param  list<KnownNameData>  $known  names that are there already
     */
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property(type: 'object', additionalProperties: true)]
        public object $with,
        #[OA\Property]
        public string $place,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $problems,
        #[OA\Property(type: 'array', items: new OA\Items(ref: KnownNameData::class))]
        public array $known,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(ref: MessageData::class)))]
        public object $fields,
    ) {
    }
}
