<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** What a format cannot carry of a form, one by one. */
#[OA\Schema]
final readonly class LossesData
{
    /**
     * @param  list<Message>  $csv
     * @param  list<Message>  $list
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $csv,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $list,
    ) {
    }
}
